import { CHECK_GROUPS, checkLabel, groupOf } from '../../core/check/index.js';
import { COMPONENT_LABELS } from '../../core/garment/index.js';
import { MEASUREMENTS } from '../../core/measure/index.js';
import { lineLabel, panelLine, settingsOf } from '../../core/method/index.js';
import { termOf } from '../../core/vocabulary/index.js';
import { useBoard } from '../board/board-store.js';
import type { Findable } from '../find/findable.js';
import { takeLine } from '../shared/line-in-hand.js';
import type { OpenWork } from '../store/open-work.js';
import { usePreferences, withUnit } from '../store/preferences.js';
import { sheetOf } from '../store/sheets.js';
import { changeUnit } from '../store/work-changes.js';
import { STATION_WORDS } from './station-words.js';
import { STATIONS, VIEWS, type StationId } from './stations.js';

/** How often, and how long apart in ms, a line is looked for that is still being laid out. */
const LOOKS = 40;
const LOOK_MS = 50;

/** Puts the cursor into a line of the bench, once its station and its section are laid out. */
function focusOn(name: string, looks = LOOKS): void {
  takeLine(name)();
  const field = document.querySelector<HTMLElement>(`[data-line="${name}"] :is(input, select)`);
  if (field) field.focus();
  else if (looks > 0)
    window.setTimeout(() => {
      focusOn(name, looks - 1);
    }, LOOK_MS);
}

/** Everyday words for what a component makes. */
const COMPONENT_WORDS: Readonly<Record<string, string>> = {
  flare: 'bell bottom, boot leg',
  taper: 'narrow, slim the leg',
  length: 'cut off, short, crop, knee length',
  hem: 'cuff, turn up, double fold',
  waistDrop: 'low rise, drop the waist, hipster',
  band: 'waistband, belt',
  shapedBand: 'contour, curved waistband',
  casing: 'elastic, pull-on, tunnel',
  drawstring: 'cord, lace',
  fly: 'zip in front, button fly, placket',
  zip: 'zipper, invisible, side opening',
  slantPocket: 'front pocket, hip pocket',
  inSeamPocket: 'side pocket',
  weltPocket: 'jetted, back pocket',
  patchPocket: 'back pocket, sewn on',
  coinPocket: 'watch pocket',
  loops: 'belt carriers',
  pleats: 'tucks',
  onePiece: 'no side seam, leggings',
};

const COMPONENTS_FOUND = Object.entries(COMPONENT_LABELS);

/** Brings a component of the finish in sight, whichever section of the bench it stands in, and takes the focus to it. */
function showComponent(id: string, looks = LOOKS): void {
  const switched = document.querySelector<HTMLElement>(`[data-component="${id}"] input`);
  if (switched) {
    switched.scrollIntoView({ block: 'center' });
    switched.focus();
    return;
  }
  if (looks === 0) return;
  // The bench is laid out section by section: each is opened until the component stands in one.
  const tabs = [...document.querySelectorAll<HTMLElement>('[aria-label="Finish"] [role=tab]')].slice(0, 3);
  const open = tabs.findIndex((tab) => tab.getAttribute('aria-selected') === 'true');
  tabs[(open + 1) % Math.max(1, tabs.length)]?.click();
  window.setTimeout(() => {
    showComponent(id, looks - 1);
  }, LOOK_MS);
}

interface Here {
  readonly draftId: string | undefined;
  readonly pathOf: (station: StationId) => string;
  readonly open: OpenWork;
  readonly go: (path: string) => void;
}

/** What can be found in a room about one piece of work: stations, views, lines, checks and what is done to the work. */
export function roomFindables({ draftId, pathOf, open, go }: Here): Findable[] {
  const { work } = open.state.getState();
  const { unit } = work.person;
  const sheet = sheetOf(work.draft);
  const draft = open.computed.getState().draft;
  const counting = draft?.worked.settings ?? settingsOf(sheet).filter((s) => !s.when);
  const words = (name: string): string => {
    const term = termOf(name);
    return term ? `${term.term}, ${term.also.join(', ')}` : '';
  };
  const line = (kind: string, name: string, label: string, station: StationId): Findable => ({
    id: `line-${name.replace('.', '-')}`,
    kind,
    label,
    also: words(name),
    go: () => {
      const panel = panelLine(name)?.panel;
      if (panel) useBoard.getState().set({ inHand: panel });
      usePreferences.getState().set({ benchOpen: true });
      go(pathOf(station));
      window.setTimeout(() => {
        focusOn(name);
      }, LOOK_MS);
    },
  });
  const to = (kind: string, id: string, label: string, also: string, path: string): Findable => ({
    id,
    kind,
    label,
    also,
    go: () => {
      go(path);
    },
  });
  const command = (id: string, label: string, also: string, does: () => void): Findable => ({
    id,
    kind: 'Command',
    label,
    also,
    go: does,
  });
  const inUnit = (next: 'cm' | 'in') => (): void => {
    const preferences = usePreferences.getState();
    preferences.set(withUnit(preferences, next));
    changeUnit(next)(open);
  };
  return [
    ...STATIONS.map((s) => to('Station', `station-${s.id}`, s.label, STATION_WORDS[s.id], pathOf(s.id))),
    ...(draftId === undefined ? [] : VIEWS).map(({ id, label, station }) =>
      to('View', `view-${id}`, label, STATION_WORDS[id], `${pathOf(station)}/${id}`),
    ),
    command('undo', 'Undo', 'back, take back', open.undo),
    command('redo', 'Redo', 'again, forward', open.redo),
    to('Command', 'print', 'Make PDF', 'print pieces, svg, paper, plot', pathOf('cut')),
    command('inches', 'Inches', 'inch, in, imperial, unit', inUnit('in')),
    command('centimetres', 'Centimetres', 'cm, metric, unit', inUnit('cm')),
    ...sheet.lines.map((l) => line('Line', l.name, lineLabel(sheet, l.name), 'draft')),
    ...counting.map((l) => line('Setting', l.name, l.label, 'choose')),
    ...[...MEASUREMENTS.values()].map((m) => line('Measurement', m.id, m.label, 'measure')),
    ...COMPONENTS_FOUND.map(([id, label]): Findable => ({
      id: `component-${id}`,
      kind: 'Finish',
      label,
      also: COMPONENT_WORDS[id] ?? '',
      go: () => {
        usePreferences.getState().set({ benchOpen: true });
        go(pathOf('finish'));
        window.setTimeout(() => {
          showComponent(id);
        }, LOOK_MS);
      },
    })),
    ...(draft?.checks ?? []).map((check): Findable => {
      const group = groupOf(check.id);
      return {
        id: `check-${check.id.replace('.', '-')}`,
        kind: 'Check',
        label: checkLabel(check, unit),
        also: `${CHECK_GROUPS.find((g) => g.id === group)?.label ?? ''}, ${words(check.id)}`,
        go: () => {
          usePreferences.getState().set({ benchOpen: true });
          const board = useBoard.getState();
          board.set({ checks: group, check: check.id, asked: board.asked + 1 });
        },
      };
    }),
  ];
}
