import type { Drafted } from '../chain/index.js';
import { garmentOf } from '../garment/index.js';
import { draftGarment, styleContext, type Style } from '../style/index.js';
import type { Unit } from '../units/index.js';
import type { Sewn } from './drape.js';

/** What of a style shapes the cloth that is hung: leg and waist. What is sewn onto it, or cut from its top, is not. */
const SHAPES: ReadonlySet<string> = new Set(['waistDrop', 'casing', 'flare', 'taper', 'fullLeg', 'length']);

/** What of a style shapes the cloth that is hung; all else may change and it hangs the same. */
export const shapesOf = (style: Style): Style => style.filter(({ id }) => SHAPES.has(id));

/**
 * A draft as it is sewn to be hung (docs/trade/virtual-toile.md): leg and waist as its style shapes them, drawn in by
 * the elastic of a casing, or to the waist of the body where a pull-on has none yet; its top edge held as far above or
 * below the body's waist as it was drafted or cut.
 */
export function sewnOf(draft: Pick<Drafted, 'worked' | 'block' | 'legs'>, style: Style, unit: Unit): Sewn {
  const { worked, block, legs: drafted } = draft;
  const { legs, findings } = draftGarment(draft, shapesOf(style), unit);
  const { bandCounted } = styleContext(draft, unit);
  const [was, is] = [(drafted?.left ?? block).front, legs.left.front];
  const raised = (was.points.centreWaist.y - is.points.centreWaist.y) / Math.max(0.5, Math.abs(was.centreDown.y));
  const elastic = findings.find(({ code }) => code === 'elasticLength')?.figures['length'];
  return {
    garment: garmentOf(legs.left),
    rightLeg: legs.left === legs.right ? undefined : garmentOf(legs.right),
    elastic: elastic ?? (worked.pullOn ? worked.body.get('waist')?.mm : undefined),
    above: raised - bandCounted,
  };
}
