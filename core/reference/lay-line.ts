import { mapPath, type Path } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import { carryPoint, pathOfShape, type Reference } from './reference.js';

/** A line of the file laid where a piece's outline is: what lies in it or beside it. Panel coordinates, mm. */
export const laidLine = (reference: Reference, index: number, panel: PanelName): Path => {
  const shape = reference.shapes[index];
  const place = reference.places[panel];
  return shape ? mapPath(pathOfShape(shape), (p) => carryPoint(place, reference.mmPerUnit, p)) : [];
};
