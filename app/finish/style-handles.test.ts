import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../../core/chain/index.js';
import { dot, subtract } from '../../core/geometry/index.js';
import { draftGarment, styleContext, type Style, type Styled } from '../../core/style/index.js';
import { styleHandles, type StyleHandle } from './style-handles.js';
import { withComponent, withValue } from './style-change.js';

const outcome = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
if (!outcome.ok) throw new Error('The middle body must draft');
const draft = outcome.value;
const context = styleContext(draft, 'cm');

function handleOf(style: Style, part: string, name: string): { handle: StyleHandle; styled: Styled } {
  const styled = draftGarment(draft, style, 'cm');
  const found = styled.garment.parts.find((p) => p.id === part);
  if (!found) throw new Error(`No part ${part}`);
  const handle = styleHandles(found, style, styled, context).find((h) => `${h.component}.${h.field}` === name);
  if (!handle) throw new Error(`No handle ${name} on the ${part}`);
  return { handle, styled };
}

const item = (id: string, values: Style[number]['values'] = {}): Style[number] => ({ id, values });

describe('what can be pulled on a piece', () => {
  it.each([
    ['flare.by', 'front', [item('flare')]],
    ['flare.by', 'back', [item('flare', { from: 'crotch' })]],
    ['taper.by', 'back', [item('taper', { by: 20 })]],
    ['fullLeg.by', 'front', [item('fullLeg', { by: 20 })]],
    ['length.inside', 'front', [item('length', { inside: 250 })]],
    ['waistDrop.by', 'front', [item('waistDrop', { by: 30 })]],
    ['waistDrop.by', 'back', [item('waistDrop', { by: 30 })]],
    ['slantPocket.waist', 'front', [item('slantPocket')]],
    ['slantPocket.side', 'front', [item('slantPocket')]],
    ['fly.length', 'front', [item('fly', { length: 150 })]],
    ['zip.length', 'back', [item('zip', { at: 'back', length: 180 })]],
    ['zip.length', 'front', [item('zip', { at: 'side', length: 180 })]],
    ['yoke.side', 'back', [item('yoke', { side: 45, centre: 70 })]],
    ['yoke.centre', 'back', [item('yoke', { side: 45, centre: 70 })]],
    ['band.depth', 'band', [item('band')]],
    ['slit.height', 'front', [item('slit', { height: 60 })]],
  ] as const)('%s on the %s goes where it is pulled', (name, part, style) => {
    const { handle } = handleOf(style, part, name);
    expect(Math.hypot(handle.along.x, handle.along.y)).toBeCloseTo(1, 6);
    const values = style[0].values;
    const pulled = withComponent(style, handle.component, withValue(values, handle.field, handle.mm + 6));
    const { handle: now } = handleOf(pulled, part, name);
    expect(now.mm).toBeCloseTo(handle.mm + 6, 6);
    // A band is twice as wide as it is deep, and the handle lies on its very edge or in its middle: half or all of it.
    const went = dot(subtract(now.at, handle.at), handle.along) * handle.share;
    expect(Math.abs(went - 6)).toBeLessThan(0.8);
  });

  it('is not offered for what could not be made, nor on a part that does not show it', () => {
    const style = [item('waistDrop', { by: 199 }), item('band')];
    const styled = draftGarment(draft, style, 'cm');
    const front = styled.garment.parts.find((p) => p.id === 'front');
    if (!front) throw new Error('a front');
    expect(styleHandles(front, style, styled, context)).toEqual([]);
  });
});

describe('a change of a style', () => {
  const style = [item('flare', { by: 30 }), item('band')];

  it('sets a component, adds one at the end, takes one away', () => {
    expect(withComponent(style, 'flare', { by: 40 })).toEqual([item('flare', { by: 40 }), item('band')]);
    expect(withComponent(style, 'fly', {})).toEqual([...style, item('fly')]);
    expect(withComponent(style, 'flare', undefined)).toEqual([item('band')]);
  });

  it('gives a value back to the house by leaving it away', () => {
    expect(withValue({ by: 30, from: 'knee' }, 'by', undefined)).toEqual({ from: 'knee' });
    expect(withValue({}, 'by', 12)).toEqual({ by: 12 });
  });
});
