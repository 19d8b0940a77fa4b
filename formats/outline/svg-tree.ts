import { SaxesParser } from 'saxes';

/** An element of an SVG file. */
export interface SvgElement {
  /** Without its prefix. */
  readonly name: string;
  readonly attributes: ReadonlyMap<string, string>;
  readonly children: readonly SvgElement[];
}

/** What was read of a file: its outermost element, and whether the file is damaged; what comes before is sound. */
export interface SvgTree {
  readonly root: SvgElement | undefined;
  readonly damaged: boolean;
}

const DEEPEST = 250;
const local = (name: string): string => name.slice(name.indexOf(':') + 1);

/**
 * Reads an SVG text into its elements. Own entities are not expanded. A file that breaks off, or is no proper XML in
 * places, is read as far as elements can be told.
 */
export function readSvgTree(text: string): SvgTree {
  const parser = new SaxesParser();
  let root: SvgElement | undefined;
  let damaged = false;
  const open: { element: SvgElement; children: SvgElement[] }[] = [];
  parser.on('error', () => {
    damaged = true;
  });
  parser.on('opentag', ({ name, attributes }) => {
    const children: SvgElement[] = [];
    const named = Object.entries(attributes).map(([key, value]) => [local(key), String(value)] as const);
    const element: SvgElement = { name: local(name), attributes: new Map(named), children };
    const parent = open[open.length - 1];
    if (parent) {
      if (open.length < DEEPEST) parent.children.push(element);
      else damaged = true;
    } else root ??= element;
    open.push({ element, children });
  });
  parser.on('closetag', () => {
    open.pop();
  });
  parser.write(text).close();
  return { root, damaged };
}
