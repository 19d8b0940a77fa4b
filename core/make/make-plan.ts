import type { Garment, Seam } from '../garment/index.js';
import type { Style } from '../style/index.js';
import { makingOf, type MakeChoice, type MakeStep, type StepRule } from './make-step.js';
import { STEP_RULES } from './step-rules.js';

/** A step with the seams that it closes and those that must be closed before it, by where they stand in the list. */
interface Node {
  readonly rule: Pick<StepRule, 'id' | 'after'>;
  readonly say: string;
  readonly note: string;
  readonly seams: readonly Seam[];
}

type Side = Seam['first'];

const sidesOf = ({ first, second }: Seam): readonly [Side, Side] => [first, second];

/** True where both name the same part of the same side of the body. */
const same = (a: Side, b: Side): boolean => a.part === b.part && (a.mirrored ?? false) === (b.mirrored ?? false);

/** True for a part of which a leg has several: what is sewn to one of them is not sewn to the next. */
function several({ parts }: Garment, id: string): boolean {
  const part = parts.find((p) => p.id === id);
  return part !== undefined && part.cut.count > (part.leg === 'both' ? 2 : 1);
}

/** Where one edge is sewn to parts that are themselves sewn together, that seam comes first. */
export function comesFirst(garment: Garment, seam: Seam): readonly Seam[] {
  const others = garment.seams.filter((s) => s !== seam);
  return sidesOf(seam).flatMap((side, i) => {
    if (several(garment, side.part)) return [];
    const far = sidesOf(seam)[1 - i] as Side;
    const alike = (s: Side): boolean => same(s, side) && s.edge === side.edge;
    const along = others.flatMap((s) => {
      const [a, b] = sidesOf(s);
      return alike(a) ? [b] : alike(b) ? [a] : [];
    });
    return others.filter((s) => {
      const [a, b] = sidesOf(s);
      return along.some(
        (other) => !same(other, far) && ((same(a, far) && same(b, other)) || (same(b, far) && same(a, other))),
      );
    });
  });
}

/** Steps in an order in which each comes after what it needs, as near to the order of the list as can be. */
function ordered(nodes: readonly Node[], garment: Garment): readonly Node[] {
  const stepOf = new Map(nodes.flatMap((node) => node.seams.map((seam) => [seam.id, node] as const)));
  const needs = new Map(
    nodes.map((node): [Node, Set<Node>] => {
      const before = nodes.filter((n) => node.rule.after?.includes(n.rule.id));
      const seams = node.seams.flatMap((seam) => comesFirst(garment, seam)).flatMap((s) => stepOf.get(s.id) ?? []);
      return [node, new Set([...before, ...seams].filter((n) => n !== node))];
    }),
  );
  const done: Node[] = [];
  const left = [...nodes];
  while (left.length > 0) {
    const ready = left.findIndex((node) => [...(needs.get(node) ?? [])].every((n) => done.includes(n)));
    // Two steps that need one another: the list's own order decides.
    done.push(...left.splice(Math.max(0, ready), 1));
  }
  return done;
}

/** What is listed by no rule is sewn when its parts are there. */
const otherSteps = (seams: readonly Seam[]): Node[] =>
  [...new Set(seams.map((s) => s.label))].map((label): Node => ({
    rule: { id: `seam:${label}`, after: ['mark'] },
    say: `Sew: ${label.charAt(0).toLowerCase()}${label.slice(1)}.`,
    note: '',
    seams: seams.filter((s) => s.label === label),
  }));

/**
 * The order in which a garment is sewn: steps by its components, each seam of it closed in one of them, none before what
 * it needs (docs/trade/sewing.md).
 */
export function makePlan(
  garment: Garment,
  style: Style,
  body: { readonly child: boolean; readonly stretch: number },
  choice: MakeChoice,
): readonly MakeStep[] {
  const making = makingOf(garment, style, body, choice);
  const free = new Set(garment.seams);
  const listed = STEP_RULES.filter((rule) => rule.when(making)).map((rule): Node => {
    const seams = [...free].filter((seam) => rule.closes?.(seam, making) ?? false);
    seams.forEach((seam) => free.delete(seam));
    return { rule, say: rule.say(making), note: rule.note?.(making) ?? '', seams };
  });
  const others = otherSteps([...free]);
  const at = listed.findIndex(
    ({ rule }) => rule.id === 'frontRise' || rule.id === 'inseamsFirst' || rule.id === 'sides',
  );
  const nodes = [...listed.slice(0, Math.max(0, at)), ...others, ...listed.slice(Math.max(0, at))];
  return ordered(nodes, garment).map(({ rule, say, note, seams }) => ({
    id: rule.id,
    say,
    note,
    seams: seams.map((s) => s.id),
  }));
}
