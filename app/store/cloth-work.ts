import { clothOf, CLOTHS, type ClothData, type Cloths } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import type { KeptLay, SavingChange } from '../../core/lay/index.js';
import type { KeptDraft } from '../../core/kept/index.js';
import { changeDraft, type Change } from './work-changes.js';
import type { OpenWork } from './open-work.js';

/** Changes what is known of a cloth of the garment. */
export const changeCloth =
  (kind: Cloth, facts: Partial<ClothData>): Change =>
  (open: OpenWork) => {
    const { unit } = open.state.getState().work.person;
    changeDraft((draft) => ({
      ...draft,
      cloths: { ...draft.cloths, [kind]: { ...clothOf(draft.cloths, kind, unit), ...facts } },
    }))(open);
  };

/** Keeps a lay of a cloth with the garment, or gives it up. */
export const keepLay = (kind: Cloth, lay: KeptLay | undefined): Change =>
  changeDraft((draft) => {
    const others = Object.fromEntries(Object.entries(draft.lays ?? {}).filter(([of]) => of !== kind));
    return { ...draft, lays: lay ? { ...others, [kind]: lay } : others };
  });

/** Lays other drafts on the cloth of this one, or more than one of it; one of itself alone is nothing to keep. */
export const layWith = (list: NonNullable<KeptDraft['laidWith']>): Change =>
  changeDraft((draft) => {
    const told = list.filter((one) => one.draft !== draft.id || one.count > 1);
    const { laidWith, ...alone } = draft;
    if (told.length > 0) return { ...draft, laidWith: told };
    return laidWith ? alone : draft;
  });

/** Keeps a piece of cloth that is left, to be offered to other garments; one of the same name is that one. */
export const keepRemnant = (remnant: ClothData): Change =>
  changeDraft((draft) => {
    const others = (draft.remnants ?? []).filter(({ name }) => name !== remnant.name);
    return { ...draft, remnants: [...others, { ...remnant, flaws: [...remnant.flaws] }] };
  });

/** A piece of cloth that was kept is used up. */
export const forgetRemnant = (name: string): Change =>
  changeDraft((draft) => {
    const { remnants = [], ...rest } = draft;
    const left = remnants.filter((one) => one.name !== name);
    return left.length > 0 ? { ...draft, remnants: left } : rest;
  });

/** Cloths in the shape in which a draft keeps them. */
const keptCloths = (cloths: Cloths): KeptDraft['cloths'] =>
  Object.fromEntries(
    CLOTHS.flatMap((kind) => {
      const cloth = cloths[kind];
      return cloth ? [[kind, { ...cloth, flaws: [...cloth.flaws] }]] : [];
    }),
  );

/** Takes a change that saves cloth: one act. */
export const takeSaving = ({ alterations, style, allowances, cloths }: SavingChange, newId: () => string): Change =>
  changeDraft((draft) => ({
    ...draft,
    ...(style && { style: [...style] }),
    ...(allowances && { allowances: { ...allowances, given: [...allowances.given] } }),
    ...(cloths && { cloths: keptCloths(cloths) }),
    alterations: [...draft.alterations, ...(alterations ?? []).map((a) => ({ ...a, id: newId() }))],
  }));
