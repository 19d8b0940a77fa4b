import type { Reader } from '../refusal/index.js';
import type { Finding, FindingCode } from './finding.js';

type Figures = Finding['figures'];

const at = (f: Figures, name: string): number => f[name] ?? 0;

/** Every finding of a style as a sentence or two, with the mend where there is one. */
const SAID: Readonly<Record<FindingCode, (f: Figures, r: Reader) => string>> = {
  bandTwice: (f, r) =>
    `The method has taken a band of ${r.length(at(f, 'counted'))} off its levels already, and the waist is cut down for one as well: it is counted twice. Take one of them away.`,
  cutWaist: (f, r) =>
    `The cut waist is ${r.length(at(f, 'cut'))} once round; the body, ${r.length(at(f, 'below'))} below its waist, is about ${r.length(at(f, 'body'))}: ease ${r.length(at(f, 'ease'))}.`,
  cutWaistTight: (f, r) =>
    `The cut waist is ${r.length(at(f, 'cut'))} once round; the body, ${r.length(at(f, 'below'))} below its waist, is about ${r.length(at(f, 'body'))}: ${r.length(at(f, 'tight'))} too tight. Drop it less, or let the sides out there.`,
  zipLength: (f, r) =>
    `The zip is ${r.length(at(f, 'zip'))} long from the finished top edge, ${r.length(at(f, 'below'))} of it below the waist seam.`,
  zipShort: (f, r) =>
    `The zip ends ${r.length(at(f, 'short'))} above the hip line. Make it ${r.length(at(f, 'needed'))} long from the finished top edge, or the opening will not pass the hips.`,
  elasticLength: (f, r) =>
    `Cut the elastic ${r.length(at(f, 'length'))} long and what it laps, and mark it every ${r.length(at(f, 'quarter'))}.`,
  openingTight: (f, r) =>
    `The top opens to ${r.length(at(f, 'opening'))}, the hips are ${r.length(at(f, 'hip'))}: it will not pass. Take a roomier fit or a cloth that stretches, or give it a zip.`,
  hemTight: (f, r) =>
    `The hem is ${r.length(at(f, 'hem'))} round, the heel ${r.length(at(f, 'heel'))}: it will not pass. Take in less, or leave a slit.`,
  mouthGapes: (f, r) =>
    `The pocket’s mouth is ${r.length(at(f, 'mouth'))} long and ${r.length(at(f, 'waist'))} wide at the waist: so long or wide a mouth gapes. Make it shorter, or hold it with tape.`,
  cordChild: () =>
    'Rules on cords and drawstrings in children’s wear are set by local product-safety law: look them up and follow them before you cut.',
  zipChild: () => 'A zip on a child’s pair has a shield behind its teeth; it is among the pieces.',
  bandShort: (f, r) =>
    `The waist is ${r.length(at(f, 'waist'))}, the band ${r.length(at(f, 'length'))}: ${r.length(at(f, 'differ'))} are eased in. Dart or shape the waist if that is too much.`,
  bandLong: (f, r) =>
    `The band is ${r.length(at(f, 'differ'))} longer than the waist it is sewn to. Give ${r.length(at(f, 'waist'))}, or the difference to the lap.`,
  curvedHem: () => 'A curved hem is turned narrow or faced: it cannot be folded far and lie flat.',
  loopStrip: (f, r) =>
    `The loops are one strip of ${r.length(at(f, 'long'))} by ${r.length(at(f, 'width'))}, cut apart into ${at(f, 'count')}.`,
  oneLeg: (f, r) =>
    `The legs differ, by ${r.length(at(f, 'differ'))} at the waist; this is drawn from the left one and cut for both. Cut the right one to its own leg.`,
  seamOut: (f, r) => `Its two sides differ by ${r.length(at(f, 'differ'))}. Walk it and ease or shorten one of them.`,
};

/** What was found, in the reader's unit. */
export const findingWords = ({ code, figures }: Finding, reader: Reader): string => SAID[code](figures, reader);

/** Where the finished top edge will lie, as a sum. `mm` above the body's waist, below it negative. */
export function topEdgeWords(mm: number, reader: Reader): string {
  if (Math.abs(mm) < 0.5) return 'The finished top edge lies at the body’s waist.';
  return `The finished top edge lies ${reader.length(Math.abs(mm))} ${mm > 0 ? 'above' : 'below'} the body’s waist.`;
}
