/** One record of a DXF file: what it is, and its groups of code and value in their order. */
export interface DxfRecord {
  readonly kind: string;
  readonly groups: readonly (readonly [number, string])[];
}

/** The records of a DXF file by their section and, within the blocks, by their block. */
export interface DxfSections {
  readonly header: ReadonlyMap<string, string>;
  readonly entities: readonly DxfRecord[];
  readonly blocks: ReadonlyMap<string, DxfBlock>;
  /** True where the file ends before it says so, or holds a line that is no group code. */
  readonly damaged: boolean;
}

/** A block: what it is inserted by, and what is drawn in it. */
export interface DxfBlock {
  readonly head: DxfRecord;
  readonly entities: readonly DxfRecord[];
}

/** The text of the first group of a code in a record. */
export const textOf = (record: DxfRecord, code: number): string | undefined =>
  record.groups.find(([c]) => c === code)?.[1];

/** The number of the first group of a code; `otherwise` where there is none; NaN where it is no number. */
export function numberOf(record: DxfRecord, code: number, otherwise: number): number {
  const text = textOf(record, code);
  return text === undefined ? otherwise : readNumber(text);
}

/** A number of a group; NaN where the whole text is no finite number. */
export const readNumber = (text: string): number => {
  const value = text.trim() === '' ? Number.NaN : Number(text);
  return Number.isFinite(value) ? value : Number.NaN;
};

/** How many lines in a row may be no group before the rest counts as lost. */
const MOST_LOST = 200;

/** Cuts the text into records. A line that is no group code is passed over, until the pairs fall into step again. */
function recordsOf(text: string): { records: DxfRecord[]; damaged: boolean } {
  const lines = text.split(/\r\n|\r|\n/);
  const records: { kind: string; groups: [number, string][] }[] = [];
  let damaged = false;
  let lost = 0;
  let ended = false;
  for (let i = 0; i + 1 < lines.length && !ended;) {
    const code = /^\s*-?\d{1,4}\s*$/.test(lines[i] ?? '') ? Number(lines[i]) : Number.NaN;
    if (Number.isNaN(code)) {
      damaged = true;
      lost += 1;
      if (lost > MOST_LOST) break;
      i += 1;
      continue;
    }
    lost = 0;
    const value = lines[i + 1] ?? '';
    if (code === 0) {
      records.push({ kind: value.trim().toUpperCase(), groups: [] });
      ended = value.trim() === 'EOF';
    } else records[records.length - 1]?.groups.push([code, value]);
    i += 2;
  }
  return { records, damaged: damaged || !ended };
}

function headerOf(groups: DxfRecord['groups']): Map<string, string> {
  const header = new Map<string, string>();
  let name: string | undefined;
  for (const [code, value] of groups) {
    if (code === 9) name = value.trim();
    else if (name !== undefined && !header.has(name)) header.set(name, value.trim());
  }
  return header;
}

/**
 * Reads the sections of a DXF text (pairs of lines, a group code and its value). Damage is passed over as far as the
 * pairs can be found again; sections that hold no drawing are left aside. A file of entities without sections is read
 * as entities.
 */
export function readSections(text: string): DxfSections {
  const { records, damaged } = recordsOf(text);
  const sectioned = records.some((r) => r.kind === 'SECTION');
  let section = sectioned ? '' : 'ENTITIES';
  let header: ReadonlyMap<string, string> = new Map();
  let block: { head: DxfRecord; entities: DxfRecord[] } | undefined;
  const entities: DxfRecord[] = [];
  const blocks = new Map<string, DxfBlock>();
  for (const record of records) {
    if (record.kind === 'SECTION') {
      section = textOf(record, 2)?.trim().toUpperCase() ?? '';
      if (section === 'HEADER') header = headerOf(record.groups);
      block = undefined;
    } else if (record.kind === 'ENDSEC') section = '';
    else if (record.kind === 'EOF') break;
    else if (section === 'ENTITIES') entities.push(record);
    else if (section === 'BLOCKS' && record.kind === 'BLOCK') {
      block = { head: record, entities: [] };
      blocks.set(textOf(record, 2)?.trim() ?? '', block);
    } else if (record.kind === 'ENDBLK') block = undefined;
    else block?.entities.push(record);
  }
  return { header, entities, blocks, damaged };
}
