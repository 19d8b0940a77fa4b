import type Delaunator from 'delaunator';

/** Forces edges into a triangulation (Sloan 1993). */
export default class Constrainautor {
  constructor(delaunay: Delaunator<ArrayLike<number>>);
  /** Makes an edge between two places of it; throws where it would cross another that was forced. */
  constrainOne(from: number, to: number): number;
}
