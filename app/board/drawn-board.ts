import type { FunctionComponent } from 'react';
import type { Draft } from '../../core/chain/index.js';
import type { Tape } from '../../core/units/index.js';
import type { Arranged } from './arrange.js';
import type { ScreenSize, View } from './view.js';

/** What is on the board and how it is seen. */
export interface Drawn {
  readonly draft: Draft;
  readonly arranged: Arranged;
  readonly view: View;
  readonly size: ScreenSize;
  readonly tape: Tape;
}

/** One layer of the board, drawn in screen coordinates. */
export type BoardLayer = FunctionComponent<{ readonly drawn: Drawn }>;
