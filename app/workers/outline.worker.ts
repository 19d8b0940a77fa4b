import { expose } from 'comlink';
import type { Block } from '../../core/draft/index.js';
import {
  adoptSizes,
  outlineSizes,
  startReference,
  type OutlineSize,
  type Reference,
} from '../../core/reference/index.js';
import type { FileRefusal, Outcome } from '../../core/refusal/index.js';
import { readOutline } from '../../formats/outline/index.js';

const outliner = {
  /** Reads an SVG or DXF text and lays what it holds under a draft. */
  lay: (name: string, text: string, block: Block, date: string): Outcome<Reference, FileRefusal> => {
    const file = readOutline(name, text);
    return file.ok ? startReference(file.value, block, date) : file;
  },
  /** Tells the sizes apart that a file holds. */
  sizes: (reference: Reference, block: Block): OutlineSize[] => outlineSizes(reference, block),
  adopt: adoptSizes,
};

/** What the worker of outlines does. */
export type Outliner = typeof outliner;

expose(outliner);
