import { sayAlteration } from '../alter/index.js';
import type { WrittenBlock, WrittenPage } from '../drawing/index.js';
import type { Block } from '../draft/index.js';
import { figuresOf, type FigureName } from '../measured/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import type { OnLeg } from './on-leg.js';
import { KNOWLEDGE, pinNamed, seenNamed, type Knowledge, type SeenWhere } from './knowledge.js';
import { foldWork, type Pin } from './pinned-fold.js';
import type { SewnSeam } from './sewn-seam.js';

const PLACES: readonly (readonly [SeenWhere, string])[] = [
  ['front', 'In front'],
  ['side', 'At the side and the leg'],
  ['back', 'Behind'],
];

/** A sheet to be filled by hand beside the person: everything that can be seen, with a box, and room for pins and seams. */
export function blankFittingPage(knowledge: Knowledge = KNOWLEDGE): WrittenPage {
  const line = '_'.repeat(24);
  return {
    title: 'Fitting',
    columns: 1,
    blocks: [
      {
        as: 'paragraph',
        words: `Of ${line}  date ${line}  in toile / basted cloth / finished  gives ${'_'.repeat(6)} %  stands ${line}`,
      },
      ...PLACES.flatMap(([where, words]): WrittenBlock[] => [
        { as: 'heading', words },
        {
          as: 'list',
          rows: knowledge.seen
            .filter((s) => s.where === where)
            .map((s) => ({ words: `${s.words}   L / R`, box: true })),
        },
      ]),
      { as: 'heading', words: 'Pinned, from the stitching line, all of it together' },
      { as: 'list', rows: knowledge.pins.map((p) => ({ words: `${p.words}: ${line}`, box: true })) },
      { as: 'heading', words: 'Seams as sewn' },
      { as: 'list', rows: [`Front rise ${line}`, `Back rise ${line}`, `Waist ${line}`].map((words) => ({ words })) },
      {
        as: 'paragraph',
        words: 'Pins: heads outward, counted in and out; none left in before pressing, or for a child to try.',
      },
    ],
  };
}

/** What a fitting's page is made of. */
export interface FittingFacts {
  readonly date: string;
  /** Whose it is, and who saw it; left out where nothing is to be told of people. */
  readonly of: string;
  readonly who: string;
  readonly cloth: string;
  /** How far that cloth stretches, as a share, where it was said. */
  readonly give: number | undefined;
  readonly posture: string;
  readonly note: string;
  readonly verdict: string;
  readonly seen: readonly { readonly what: string; readonly leg: OnLeg }[];
  readonly pins: readonly Pin[];
  readonly sewn: readonly SewnSeam[];
  /** What the virtual toile told before, in sentences, each with what was seen of it. */
  readonly predicted: readonly { readonly words: string; readonly seen: string }[];
  readonly done: readonly { readonly words: string; readonly by: number; readonly leg: OnLeg }[];
  /** Photos, where they are asked for. */
  readonly photos: readonly Omit<Extract<WrittenBlock, { as: 'picture' }>, 'as'>[];
  /** The pieces that were tried on, and as they are now. */
  readonly before: Block | undefined;
  readonly now: Block;
}

const FIGURES: readonly (readonly [FigureName, string])[] = [
  ['waist', 'Waist'],
  ['hip', 'Hip'],
  ['thigh', 'Thigh'],
  ['frontRise', 'Front rise'],
  ['backRise', 'Back rise'],
  ['hem', 'Hem'],
];

const onLeg = (leg: OnLeg): string => (leg === 'both' ? '' : `, ${leg} leg`);

/** A heading with what stands under it; nothing where that is empty. */
const under = (words: string, block: WrittenBlock, any: boolean): WrittenBlock[] =>
  any ? [{ as: 'heading', words }, block] : [];

/** A fitting as a page to be printed or handed over: what was seen, pinned, measured and done, before and after. */
export function fittingPage(facts: FittingFacts, unit: Unit, knowledge: Knowledge = KNOWLEDGE): WrittenPage {
  const tape = tapeFor(unit);
  const length = (mm: number): string => formatLength(mm, tape);
  const [now, before] = [figuresOf(facts.now), facts.before && figuresOf(facts.before)];
  const said = [
    facts.of,
    facts.give === undefined ? facts.cloth : `${facts.cloth} that gives ${Math.round(facts.give * 100)} %`,
    facts.who === '' ? '' : `seen by ${facts.who}`,
    facts.posture === '' ? '' : `stands: ${facts.posture}`,
    facts.verdict,
  ].filter((w) => w !== '');
  const rows = FIGURES.map(([id, label]) => [
    label,
    ...(before ? [length(before[id])] : []),
    length(now[id]),
    ...(before
      ? [
          length(now[id]) === length(before[id])
            ? ''
            : `${now[id] < before[id] ? '−' : '+'}${length(Math.abs(now[id] - before[id]))}`,
        ]
      : []),
  ]);
  return {
    title: `Fitting of ${facts.date}`,
    columns: 1,
    blocks: [
      { as: 'paragraph', words: `${said.join('; ')}.` },
      ...(facts.note === '' ? [] : [{ as: 'paragraph', words: facts.note } as const]),
      ...under(
        'Seen',
        {
          as: 'list',
          rows: facts.seen.map(({ what, leg }) => ({
            words: `${seenNamed(what, knowledge)?.words ?? what}${onLeg(leg)}`,
          })),
        },
        facts.seen.length > 0,
      ),
      ...under(
        'Told before by the virtual toile',
        {
          as: 'list',
          rows: facts.predicted.map(({ words, seen }) => ({ words: seen === '' ? words : `${words} ${seen}` })),
        },
        facts.predicted.length > 0,
      ),
      ...under(
        'Pinned',
        {
          as: 'list',
          rows: facts.pins.map(({ kind, by, leg, fold }) => ({
            words: fold
              ? `${sayAlteration(foldWork(fold, by), unit)}${onLeg(leg)}`
              : `${pinNamed(kind, knowledge)?.words ?? kind}: ${length(by)}${onLeg(leg)}`,
          })),
        },
        facts.pins.length > 0,
      ),
      ...under(
        'Seams as sewn',
        {
          as: 'table',
          head: ['Seam', 'Sewn', 'On the piece', 'Wanted'],
          rows: facts.sewn.map(({ kind, net, paper, wanted }) => [
            kind.label,
            length(net),
            length(paper),
            wanted === undefined ? '' : length(wanted),
          ]),
        },
        facts.sewn.length > 0,
      ),
      ...under(
        'Done about it',
        {
          as: 'list',
          rows: facts.done.map(({ words, by, leg }) => ({ words: `${words}: ${length(by)}${onLeg(leg)}` })),
        },
        facts.done.length > 0,
      ),
      ...facts.photos.map((photo): WrittenBlock => ({ as: 'picture', ...photo })),
      { as: 'heading', words: before ? 'Before and after' : 'The pieces now' },
      { as: 'table', head: before ? ['', 'As tried on', 'Now', 'Differs'] : ['', 'Now'], rows },
    ],
  };
}
