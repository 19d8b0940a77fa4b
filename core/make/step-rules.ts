import type { Garment, Seam } from '../garment/index.js';
import { seamBase, type Making, type StepRule } from './make-step.js';

const always = (): boolean => true;
const labelled =
  (label: RegExp) =>
  (seam: Seam): boolean =>
    label.test(seam.label);
const chose = (id: string) => (making: Making) => making.item(id) !== undefined;
const marked = (meaning: string) => (making: Making) =>
  making.garment.parts.some((p) => p.onFrame && p.marks.some((m) => m.kind === 'line' && m.meaning === meaning));
const names = (parts: readonly { readonly name: string }[]): string =>
  [...new Set(parts.map((p) => p.name))].join('; ');
const both = (making: Making): boolean => making.choice.inseams === 'last';
const banded = (making: Making): boolean => ['band', 'shapedBand'].some((id) => making.item(id) !== undefined);
const sideLast = (making: Making): boolean => making.choice.band === 'sideLast' && canCloseSideLast(making.garment);
const value = (making: Making, component: string, name: string): unknown => making.item(component)?.values[name];

/** True where the band comes in parts of its own for front and back, so that a side can be closed through it. */
export const canCloseSideLast = ({ parts }: Pick<Garment, 'parts'>): boolean =>
  ['bandFront', 'bandBack'].every((band) => parts.some(({ id, like }) => id === band || like === band));

/** True where a zip closes one of the rises or a side. */
const zipAt = (making: Making, at: string): boolean =>
  making.item('zip') !== undefined && (value(making, 'zip', 'at') ?? 'side') === at;

/**
 * The steps in which trousers are made, in the order in which makers go through them (docs/trade/sewing.md). What must
 * be closed before a step is read from the seams; `after` says what else comes first.
 */
export const STEP_RULES: readonly StepRule[] = [
  {
    id: 'mark',
    when: always,
    say: () =>
      'Mark every piece front or back, and its wrong side, before it is moved. Snip the notches, no deeper than half the seam.',
  },
  {
    id: 'try',
    when: always,
    say: () => 'Try iron, thread and stitch on a scrap of this cloth.',
    note: () => 'Synthetics melt or shine: press through a cloth. Keep the iron where it cannot be pulled down.',
  },
  {
    id: 'fuse',
    when: (m) => m.of('interfacing').length > 0,
    say: (m) => `Fuse ${names(m.of('interfacing'))} to the wrong side, the seams left free.`,
    note: () => 'Try the fusible on the scrap first: it may show through, or shrink the cloth.',
    after: ['try'],
  },
  {
    id: 'stay',
    when: (m) => m.stretch < 0.05,
    say: () => 'Stay the centre back where it runs off the grain: a strip of tape or fusible within the seam.',
    after: ['mark'],
  },
  {
    id: 'darts',
    when: marked('dart'),
    say: () =>
      'Pin each dart from its snips to its point, stitch from the waist to nothing, tie the ends. Press it toward the centre.',
    after: ['mark'],
  },
  {
    id: 'pleats',
    when: chose('pleats'),
    say: () => 'Lay the pleats as they are marked, baste them at the waist, and let them fall to the crease.',
    after: ['mark'],
  },
  {
    id: 'yoke',
    when: chose('yoke'),
    say: () => 'Sew the yoke to the back, matching its notches; press the seam up and topstitch it.',
    closes: labelled(/^Yoke/),
    after: ['darts'],
  },
  {
    id: 'weltPocket',
    when: chose('weltPocket'),
    say: () =>
      'Make the welt pocket behind: welt and bags through the marked line, the corners cut to the last stitch.',
    closes: labelled(/^Welt/),
    after: ['darts', 'yoke', 'fuse'],
  },
  {
    id: 'patchPocket',
    when: chose('patchPocket'),
    say: () => 'Turn the top of each patch pocket twice, press its sides under, and sew it where it is marked.',
    closes: labelled(/^Patch/),
    after: ['darts', 'yoke'],
  },
  {
    id: 'coinPocket',
    when: chose('coinPocket'),
    say: () => 'Turn the top of the coin pocket and sew it on the right front where it is marked.',
    closes: labelled(/^Coin/),
  },
  {
    id: 'kneePatch',
    when: chose('kneePatch'),
    say: () => 'Press the knee patches under and sew them on the fronts where they are marked.',
    closes: labelled(/^Knee/),
  },
  {
    id: 'slantPocket',
    when: chose('slantPocket'),
    say: () =>
      'Sew the upper bag to the mouth of each front, right sides together. Snip, turn and understitch. Lay the facing on the lower bag.',
    closes: labelled(/^Pocket mouth|^Pocket facing/),
    after: ['mark'],
  },
  {
    id: 'slantBags',
    when: chose('slantPocket'),
    say: () =>
      'Close the bags along their free edge, and baste them at waist and side where the front lies on its mark.',
    closes: (seam, making) =>
      making.item('slantPocket') !== undefined && /^Pocket bags/.test(seam.label) && !inSeam(seam),
    after: ['slantPocket'],
  },
  {
    id: 'inSeamBags',
    when: chose('inSeamPocket'),
    say: () => 'Sew a bag to front and back at each side between the opening notches; press it away from the piece.',
    closes: (seam) => inSeam(seam) && !/^Pocket bags/.test(seam.label),
    after: ['mark'],
  },
  {
    id: 'flyFront',
    when: chose('fly'),
    say: () =>
      'Sew the front rise from the stop of the fly down to the last 1 in or 2.5 cm before the crotch, and leave that open.',
    after: ['fuse'],
  },
  {
    id: 'fly',
    when: chose('fly'),
    say: (m) =>
      m.has('flyFacing')
        ? 'Sew the facing to the side that comes on top, understitch and turn it. Fold the shield. Set the zip, topstitch the line of the fly, and bar it at its stop.'
        : 'Fold the fly back on the side that comes on top. Set the zip, topstitch the line of the fly, and bar it at its stop.',
    note: (m) => (m.child ? 'The shield lies behind the teeth of the zip, so that nothing is caught.' : ''),
    closes: labelled(/^Fly/),
    after: ['flyFront'],
  },
  {
    id: 'slits',
    when: chose('slit'),
    say: () => 'Press back what is left for the slits, and mark where each seam ends above them.',
    after: ['mark'],
  },
  {
    id: 'hemFlat',
    when: (m) => m.choice.hem === 'before',
    say: () => 'Fold and sew the hems flat; the inseam is closed through them.',
    note: () => 'A hem sewn before the try-on can only be taken up, never let down.',
    closes: labelled(/^Hem/),
    after: ['slits'],
  },
  {
    id: 'frontRise',
    when: both,
    say: () =>
      'Sew the fronts together at the front rise, from the waist to the last 1 in or 2.5 cm before the crotch.',
    closes: (seam, making) => both(making) && /^Front rise/.test(seam.label),
    after: ['fly', 'stay'],
  },
  {
    id: 'backRise',
    when: (m) => both(m) && !zipAt(m, 'back'),
    say: () => 'Sew the backs together at the back rise; stitch the seat twice.',
    closes: (seam, making) => both(making) && !zipAt(making, 'back') && /^Back rise/.test(seam.label),
    after: ['stay', 'yoke', 'weltPocket'],
  },
  {
    id: 'backZip',
    when: (m) => zipAt(m, 'back'),
    say: () =>
      'Press the allowance of the zip back before the zip is set. Sew the back rise below its end, then set the zip; its end is barred.',
    note: (m) => (m.child ? 'A shield lies behind the teeth of the zip.' : ''),
    closes: (seam, making) => zipAt(making, 'back') && both(making) && /^Back rise/.test(seam.label),
    after: ['stay', 'darts'],
  },
  {
    id: 'sideZip',
    when: (m) => zipAt(m, 'side'),
    say: () => 'Press the allowance of the zip back before the zip is set, and mark its end on the side.',
    note: (m) => (m.child ? 'A shield lies behind the teeth of the zip.' : ''),
    after: ['darts'],
  },
  {
    id: 'sides',
    when: (m) => m.garment.seams.some((s) => /^Side/.test(s.label)),
    say: (m) =>
      sideLast(m)
        ? 'Sew one side from waist to hem at its depth, matching hip, crotch level and knee. Leave the other side open to the last.'
        : 'Sew the sides from waist to hem at their depth, matching hip, crotch level and knee; press them open.',
    note: (m) => (zipAt(m, 'side') ? 'The side with the zip is sewn below its end; then the zip is set.' : ''),
    closes: labelled(/^Side/),
    after: ['slantBags', 'inSeamBags', 'sideZip', 'yoke', 'weltPocket'],
  },
  {
    id: 'inSeamClosed',
    when: chose('inSeamPocket'),
    say: () =>
      'Close the bags along their free edge in one run with the side above and below, and baste them at the waist.',
    closes: (seam) => inSeam(seam) && /^Pocket bags/.test(seam.label),
    after: ['inSeamBags', 'sides'],
  },
  {
    id: 'inseamsLast',
    when: both,
    say: (m) =>
      `Sew the inseams in one run from hem over the crotch to hem${m.garment.seams.some((s) => s.ease?.how === 'stretched') ? ', the back stretched on above the knee' : ''}.`,
    closes: (seam, making) => both(making) && /^Inseam/.test(seam.label),
    after: ['frontRise', 'backRise', 'backZip', 'sides', 'hemFlat'],
  },
  {
    id: 'inseamsFirst',
    when: (m) => !both(m),
    say: (m) =>
      `Close each leg at the inseam, from crotch to hem${m.garment.seams.some((s) => s.ease?.how === 'stretched') ? ', the back stretched on above the knee' : ''}.`,
    closes: (seam, making) => !both(making) && /^Inseam/.test(seam.label),
    after: ['sides', 'hemFlat'],
  },
  {
    id: 'crotch',
    when: (m) => !both(m),
    say: () =>
      'Draw one leg into the other, right sides together, and sew the rise in one run from front to back; stitch the seat twice.',
    closes: (seam, making) => !both(making) && /^(Front|Back) rise/.test(seam.label),
    after: ['inseamsFirst', 'fly', 'stay', 'yoke', 'weltPocket'],
  },
  {
    id: 'backZipLast',
    when: (m) => zipAt(m, 'back') && !both(m),
    say: () => 'Set the zip behind; its end is barred.',
    after: ['crotch'],
  },
  {
    id: 'lining',
    when: chose('lining'),
    say: () => 'Make up the lining the same way, a little looser, and hang it in at the waist, wrong sides together.',
    closes: labelled(/ining/),
    after: ['inseamsLast', 'crotch'],
  },
  {
    id: 'tryOn',
    when: always,
    say: () =>
      'Baste the waist to its band or a tape, and try on. Pin what is to be changed, and mark where the waist lies.',
    note: () => 'Work from the hem up, pins flat to the body; nobody sits down in pins.',
    after: ['inseamsLast', 'crotch', 'sides', 'lining'],
  },
  {
    id: 'tabs',
    when: chose('tabs'),
    say: () => 'Turn the tabs and baste them at the sides of the waist.',
    closes: labelled(/^Tab/),
    after: ['sides'],
  },
  {
    id: 'loops',
    when: chose('loops'),
    say: () =>
      'Fold and stitch the strip for the loops, cut it, and baste the loops at the waist where they are marked.',
    closes: labelled(/^Loop|^Belt/),
    after: ['sides', 'tryOn'],
  },
  {
    id: 'trim',
    when: (m) => banded(m) || m.item('waistFacing') !== undefined,
    say: () => 'Trim the waist to its line.',
    after: ['tryOn'],
  },
  {
    id: 'bandJoined',
    when: (m) => banded(m) || m.item('waistFacing') !== undefined,
    say: (m) => {
      const shell = m.garment.parts.filter((p) => /^(band|waistFacing|facing)/.test(p.id) && p.cloth === 'shell');
      const folded = shell.some((p) => p.marks.some((mark) => mark.kind === 'line' && mark.meaning === 'fold'));
      const joined = sideLast(m)
        ? ['Join the band behind, where it comes in halves; leave it open at the side that is closed last.']
        : shell.length > 1
          ? ['Join the parts of the band to one round, but for where it opens; press the joins open.']
          : [];
      const topped = folded
        ? ['Press the band along its fold, and one long edge under.']
        : ['Sew its outer side and its facing together along the top, trim and press; press one long edge under.'];
      return [...joined, ...(banded(m) ? topped : [])].join(' ');
    },
    closes: (seam, making) =>
      (banded(making) || making.item('waistFacing') !== undefined) &&
      /^(Band|Waistband|Facing|Ends of)(?!.*to the waist)/.test(seam.label),
    after: ['fuse', 'trim'],
  },
  {
    id: 'band',
    when: (m) => banded(m) || m.item('waistFacing') !== undefined,
    say: (m) =>
      m.item('waistFacing')
        ? 'Sew the facing to the waist, snip and understitch it, turn it in and catch it at the seams.'
        : 'Sew the band to the waist, its marks to the seams. Close its ends, turn it, and stitch in the ditch, or from the inside and topstitch.',
    closes: (seam, making) => making.item('casing') === undefined && /to the waist$/.test(seam.label),
    after: ['bandJoined', 'trim', 'loops', 'tabs'],
  },
  {
    id: 'sideClosedLast',
    when: sideLast,
    say: () => 'Close the last side in one run through the band and the leg, once its width is right.',
    after: ['band'],
  },
  {
    id: 'casingJoined',
    when: (m) => m.has('casing'),
    say: () => 'Join the ends of the casing.',
    closes: (seam, making) => making.item('casing') !== undefined && /^Casing, its ends/.test(seam.label),
    after: ['tryOn'],
  },
  {
    id: 'casing',
    when: chose('casing'),
    say: (m) =>
      m.has('casing')
        ? 'Sew the casing to the waist, fold it over and stitch it down, a gap left for the elastic.'
        : 'Fold the casing over on its line and stitch it down, a gap left for the elastic.',
    closes: (seam, making) => making.item('casing') !== undefined && /^Casing.*to the waist/.test(seam.label),
    after: ['casingJoined', 'tryOn'],
  },
  {
    id: 'elastic',
    when: chose('casing'),
    say: () =>
      'Draw the elastic through, lap and stitch its ends, mark it and the casing in quarters, and stitch it at the seams or in rows.',
    note: (m) =>
      m.child
        ? 'Elastic must not press on a child’s body. Rules on children’s wear are set by local product-safety law: look them up and follow them.'
        : '',
    after: ['casing'],
  },
  {
    id: 'drawstring',
    when: chose('drawstring'),
    say: () => 'Make the eyelets before the casing is closed; draw the cord through and secure it at the back.',
    note: (m) =>
      m.child
        ? 'Cords on children’s wear: rules are set by local product-safety law and must be looked up and followed.'
        : '',
    after: ['casing', 'band', 'elastic'],
  },
  {
    id: 'fasten',
    when: (m) => banded(m) && (m.item('fly') !== undefined || m.item('zip') !== undefined),
    say: () => 'Set hook and bar, or button and hole, on the lap of the band.',
    after: ['band', 'sideClosedLast'],
  },
  {
    id: 'hem',
    when: (m) => m.choice.hem === 'after',
    say: (m) =>
      value(m, 'hem', 'kind') === 'double'
        ? 'Level the hem in the shoes it is worn with. Fold it twice, and stitch it.'
        : value(m, 'hem', 'kind') === 'turnUp'
          ? 'Level the hem in the shoes it is worn with. Fold the turn-up, and catch it at the seams.'
          : 'Level the hem in the shoes it is worn with. Neaten its edge, fold it up, and sew or bond it.',
    note: () => 'A hem on the floor catches heel, stair and wheel.',
    closes: labelled(/^Hem/),
    after: ['tryOn', 'inseamsLast', 'crotch', 'slits', 'band', 'casing'],
  },
  {
    id: 'press',
    when: always,
    say: () =>
      'Press the creases in from the crease line, side and inseam laid on one another. Press everything once more.',
    after: ['hem', 'hemFlat', 'band', 'casing', 'elastic', 'fasten', 'drawstring'],
  },
];

const inSeam = (seam: Seam): boolean => seamBase(seam).startsWith('inSeamBag');
