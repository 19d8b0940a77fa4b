import type { Draft } from '../chain/index.js';
import type { Unit } from '../units/index.js';
import { highHipLevel } from '../measured/index.js';
import type { StyleContext } from './component.js';
import { waistDrop } from './components/waist-drop.js';
import { standing, styled, type Style, type Styled } from './style.js';

type Source = Pick<Draft, 'worked' | 'block' | 'legs'>;

/** What the defaults of a style are taken from, of a draft and its maker's unit. */
export function styleContext({ worked, block }: Pick<Source, 'worked' | 'block'>, unit: Unit): StyleContext {
  const { body, child, size, stretch, choices, ledger } = worked;
  const of = (id: Parameters<typeof body.get>[0]): number | undefined => body.get(id)?.mm;
  const band = choices['bandCounts'] === 'yes' ? ledger.get('bandDepth')?.value : 0;
  // A block whose levels have a band taken off them begins so far below the body's waist.
  const counted = typeof band === 'number' ? band : 0;
  const taken = body.get('highHip');
  return {
    unit,
    child,
    size,
    stretch,
    waist: of('waist') ?? 0,
    hip: of('hip') ?? 0,
    girths: [
      { below: 0, girth: of('waist') ?? 0 },
      ...(taken?.source === 'measured' ? [{ below: counted + highHipLevel(block), girth: taken.mm }] : []),
      { below: counted + block.levels.hipLevel, girth: of('hip') ?? 0 },
    ],
    heel: of('heel') ?? of('ankle'),
    bandCounted: counted,
  };
}

/** How far below the waist a style sets the edge that a band is sewn to, in mm: its waist drop as it stands. */
export function waistDropOf(draft: Pick<Source, 'worked' | 'block'>, style: Style, unit: Unit): number {
  const item = style.find(({ id }) => id === waistDrop.id);
  return item ? Number(standing(waistDrop.fields.by, item.values['by'], styleContext(draft, unit))) : 0;
}

const last = new WeakMap<object, { style: Style; unit: Unit; styled: Styled }>();

/** The garment of a draft in a style. Made once for each draft as long as its style stays. */
export function draftGarment(draft: Source, style: Style, unit: Unit): Styled {
  const known = last.get(draft.block);
  if (known && known.style === style && known.unit === unit) return known.styled;
  const made = styled(draft.block, draft.legs, style, styleContext(draft, unit));
  last.set(draft.block, { style, unit, styled: made });
  return made;
}
