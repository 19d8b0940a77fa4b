import type { Alteration } from '../../core/alter/index.js';
import { dayOf, withVersionKept, type Fitting, type KeptDraft } from '../../core/kept/index.js';
import type { Style } from '../../core/style/index.js';
import { changeDraft, type Change } from './work-changes.js';

const newId = (): string => crypto.randomUUID();

/** Begins a fitting of the open draft, of the version in hand; with what the virtual toile told, where it is begun there. */
export const beginFitting = (id: string, now: Date, predicted: NonNullable<Fitting['predicted']> = []): Change =>
  changeDraft((draft) => ({
    ...draft,
    fittings: [
      ...(draft.fittings ?? []),
      {
        id,
        date: dayOf(now),
        who: '',
        cloth: 'toile',
        note: '',
        ...(draft.version !== undefined && { version: draft.version }),
        seen: [],
        pins: [],
        taken: [],
        ...(predicted.length > 0 && { predicted: [...predicted] }),
      },
    ],
  }));

const changed =
  (id: string, make: (fitting: Fitting) => Fitting) =>
  (draft: KeptDraft): KeptDraft => ({
    ...draft,
    fittings: (draft.fittings ?? []).map((f) => (f.id === id ? make(f) : f)),
  });

/** Changes what is said of a fitting. */
export const changeFitting = (id: string, facts: Partial<Fitting>): Change =>
  changeDraft(changed(id, (fitting) => ({ ...fitting, ...facts })));

/** Notes that something was seen at a fitting, or that it was not. */
export const markSeen = (id: string, what: string, leg: Fitting['seen'][number]['leg'] | undefined): Change =>
  changeDraft(
    changed(id, (fitting) => {
      const others = fitting.seen.filter((s) => s.what !== what);
      const known = fitting.seen.find((s) => s.what === what)?.id ?? newId();
      return { ...fitting, seen: leg === undefined ? others : [...others, { id: known, what, leg }] };
    }),
  );

/** Puts a pin in, changes it, or takes it out. */
export const putPin = (id: string, pin: Omit<Fitting['pins'][number], 'id'>): Change =>
  changeDraft(changed(id, (fitting) => ({ ...fitting, pins: [...fitting.pins, { id: newId(), ...pin }] })));

/** Changes a pin, or takes it out where nothing is said of it. */
export const changePin = (
  id: string,
  pinId: string,
  facts: Partial<Omit<Fitting['pins'][number], 'id'>> | undefined,
): Change =>
  changeDraft(
    changed(id, (fitting) => ({
      ...fitting,
      pins: fitting.pins.flatMap((p) => (p.id !== pinId ? [p] : facts === undefined ? [] : [{ ...p, ...facts }])),
    })),
  );

/** Takes a pinned fold out on the paper: an alteration at the end of the list, told with the pin; one act. */
export const takeFold = (id: string, pinId: string, alteration: Alteration): Change =>
  changeDraft((draft) => {
    const next = changed(id, (fitting) => ({
      ...fitting,
      pins: fitting.pins.map((p) =>
        p.id === pinId && p.fold ? { ...p, fold: { ...p.fold, taken: alteration.id } } : p,
      ),
    }))(draft);
    return { ...next, alterations: [...next.alterations, alteration] };
  });

/** Closes a fitting with a verdict, and keeps what the draft is then as a version: one act. */
export const closeFitting =
  (id: string, closed: NonNullable<Fitting['closed']>, said: string, now: Date): Change =>
  (open) => {
    const { work } = open.state.getState();
    const draft = changed(id, (fitting) => ({ ...fitting, closed }))(work.draft);
    const fitting = draft.fittings?.find((f) => f.id === id);
    const kept = withVersionKept({ ...work, draft }, newId, now, {
      name: `after the fitting of ${fitting?.date ?? ''}`,
      note: said,
      state: 'uncut',
    });
    changeDraft(() => kept)(open);
  };

/** Opens a fitting again that was closed. */
export const reopenFitting = (id: string): Change =>
  changeDraft(changed(id, (fitting) => ({ ...fitting, closed: undefined })));

/** Forgets a fitting; what was done about it stays. */
export const forgetFitting = (id: string): Change =>
  changeDraft((draft) => ({ ...draft, fittings: (draft.fittings ?? []).filter((f) => f.id !== id) }));

/**
 * Does something about a cause, by so much in mm: alterations at the end of the list, or a style whose band was changed;
 * noted at the fitting; one act.
 */
export const takeCause = (
  id: string,
  done: Omit<NonNullable<Fitting['done']>[number], 'id'>,
  alterations: readonly Alteration[],
  style?: Style,
): Change =>
  changeDraft((draft) => {
    const next = changed(id, (fitting) => ({
      ...fitting,
      taken: [...fitting.taken, done.cause],
      done: [...(fitting.done ?? []), { id: newId(), ...done }],
    }))(draft);
    return { ...next, alterations: [...next.alterations, ...alterations], ...(style && { style: [...style] }) };
  });

/** Notes a seam as it was measured, changes it, or takes it out where nothing is said of it. */
export const measureSewn = (id: string, sewn: NonNullable<Fitting['sewn']>[number]): Change =>
  changeDraft(
    changed(id, (fitting) => {
      const all = fitting.sewn ?? [];
      const known = all.some((s) => s.id === sewn.id);
      return { ...fitting, sewn: known ? all.map((s) => (s.id === sewn.id ? sewn : s)) : [...all, sewn] };
    }),
  );

/** Takes a measured seam out of a fitting. */
export const forgetSewn = (id: string, sewnId: string): Change =>
  changeDraft(changed(id, (fitting) => ({ ...fitting, sewn: (fitting.sewn ?? []).filter((s) => s.id !== sewnId) })));

/** Puts alterations at the end of the list, as a seam measured at a fitting asks for. */
export const mendSewn = (alterations: readonly Alteration[]): Change =>
  changeDraft((draft) => ({ ...draft, alterations: [...draft.alterations, ...alterations] }));

type FittingPhoto = NonNullable<Fitting['photos']>[number];

/** Notes a photo at a fitting; the picture itself is kept beside the draft. */
export const notePhoto = (id: string, photo: FittingPhoto): Change =>
  changeDraft(changed(id, (fitting) => ({ ...fitting, photos: [...(fitting.photos ?? []), photo] })));

/** Changes what is said of a photo, or takes it out where nothing is said of it; the picture stays, so that it can come back. */
export const changePhoto = (
  id: string,
  photoId: string,
  facts: Partial<Omit<FittingPhoto, 'id'>> | undefined,
): Change =>
  changeDraft(
    changed(id, (fitting) => ({
      ...fitting,
      photos: (fitting.photos ?? []).flatMap((p) =>
        p.id !== photoId ? [p] : facts === undefined ? [] : [{ ...p, ...facts }],
      ),
    })),
  );

/** Keeps what the virtual toile told with a fitting, to be looked at on the toile; what it told before stays. */
export const keepPredicted = (id: string, predicted: NonNullable<Fitting['predicted']>): Change =>
  changeDraft(changed(id, (fitting) => ({ ...fitting, predicted: [...(fitting.predicted ?? []), ...predicted] })));

/** Says whether the toile showed what was told, or that it was not looked at. */
export const markPredicted = (id: string, predictedId: string, seen: 'so' | 'otherwise' | undefined): Change =>
  changeDraft(
    changed(id, (fitting) => ({
      ...fitting,
      predicted: (fitting.predicted ?? []).map((p) => {
        if (p.id !== predictedId) return p;
        const { id: own, figure, before, after, against } = p;
        return { id: own, figure, before, after, against, ...(seen && { seen }) };
      }),
    })),
  );
