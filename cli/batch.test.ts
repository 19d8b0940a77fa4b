import Papa from 'papaparse';
import { mkdtemp, readdir, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { command } from './command.js';

const folder = await mkdtemp(join(tmpdir(), 'upstride-batch-'));
let runs = 0;

const ORDER = {
  measurements: { unit: 'cm' },
  method: 'close',
  style: { fly: true, band: true },
};

interface BatchRun {
  readonly status: number;
  readonly said: string;
  readonly files: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
  readonly read: (file: string) => Promise<string>;
}

/** A run of the command on a table; what it said, and what it wrote. */
async function batch(csv: string, format = 'json', order: unknown = ORDER, ...more: string[]): Promise<BatchRun> {
  const at = join(folder, String(runs++));
  const [orderFile, table, out] = [`${at}.json`, `${at}.csv`, `${at} out`];
  await writeFile(orderFile, JSON.stringify(order));
  await writeFile(table, csv);
  const ran = await command(['batch', orderFile, table, '--out', out, '--format', format, ...more]);
  const files = await readdir(out).catch((): string[] => []);
  const read = (file: string): Promise<string> => readFile(join(out, file), 'utf8');
  const rows = files.includes('summary.csv')
    ? Papa.parse<Record<string, string>>((await read('summary.csv')).trim(), { header: true }).data
    : [];
  return { status: ran.status, said: String(ran.out) + ran.error, files: files.sort(), rows, read };
}

const CREW = `Name,Unit,Date,Waist,Hip,Crotch depth,Inseam
Cellist,cm,2026-09-01,70,96,26,78
Cook,in,2026-09-02,40,44,11 1/2,29
Cook,in,2026-03-02,38,43,11 1/2,29
Stage rigger,cm,2026-09-01,84,100,27,80
`;

describe('upstride batch', () => {
  it('writes a draft for each, by their newest figures, and a table that tells of all', async () => {
    const { status, said, files, rows, read } = await batch(CREW);
    expect(said).toContain('3 of 3 done');
    expect(status).toBe(0);
    expect(files).toEqual(['Cellist.json', 'Cook.json', 'Stage rigger.json', 'summary.csv']);
    expect(rows.map((r) => [r['name'], r['measured'], r['file'], r['problem']])).toEqual([
      ['Cellist', '2026-09-01', 'Cellist.json', ''],
      ['Cook', '2026-09-02', 'Cook.json', ''],
      ['Stage rigger', '2026-09-01', 'Stage rigger.json', ''],
    ]);
    expect(rows[1]?.['shell']).toMatch(/^about .+ yd$/);
    expect(rows[0]?.['shell']).toMatch(/^about \d\.\d\d m$/);
    expect(rows[0]?.['estimated']).toContain('Thigh');
    // Each file is what the command drafts of the same figures by themselves.
    const alone = join(folder, 'alone.json');
    const figures = { unit: 'cm', waist: 70, hip: 96, crotchDepth: 26, inseam: 78 };
    await writeFile(alone, JSON.stringify({ ...ORDER, measurements: figures }));
    const one = JSON.parse(String((await command(['draft', alone])).out)) as { seams: unknown; parts: unknown };
    const ours = JSON.parse(await read('Cellist.json')) as { seams: unknown; parts: unknown };
    expect(ours.seams).toEqual(one.seams);
    expect(ours.parts).toEqual(one.parts);
  });

  it('takes an order that measures nobody, as one is written for many', async () => {
    const { status, files } = await batch(CREW, 'json', { style: { band: true } });
    expect([status, files.length]).toEqual([0, 4]);
  });

  it('names what is wrong with a row, and does the others', async () => {
    const { status, said, files, rows } = await batch(`${CREW}Bargee,cm,,90,x,28,80\nApprentice,cm,,56,,21,56\n`);
    expect(status).toBe(1);
    expect(said).toContain('3 of 5 done');
    expect(said).toMatch(/Row 6/);
    expect(said).toMatch(/Row 7, Apprentice: .*[Hh]ip/);
    expect(files).toHaveLength(4);
    expect(rows.find((r) => r['name'] === 'Apprentice')?.['problem']).toMatch(/[Hh]ip/);
    expect(rows).toHaveLength(5);
  });

  it('tells where an alteration could not be done on somebody, and leaves it out there alone', async () => {
    const alterations = [
      { kind: 'crotchPoint', panel: 'back', out: '-4', down: 0, recentre: true },
      { kind: 'waist', panel: 'both', centre: '1', side: '1', centreOnly: false },
    ];
    const { said, rows } = await batch(
      'Name,Unit,Waist,Hip,Crotch depth,Inseam\nCellist,cm,70,96,26,78\nApprentice,cm,56,66,20,54\n',
      'svg',
      { ...ORDER, alterations },
    );
    const told = rows.filter((r) => r['problem'] !== '');
    for (const row of told) {
      expect(row['problem']).toMatch(/^Left out: .+\.$/);
      expect(said).toContain(`${row['name']}: Left out`);
      expect(row['file']).not.toBe('');
    }
    const done = await batch(CREW, 'svg', { ...ORDER, alterations: alterations.slice(1) });
    expect(done.rows.map((r) => r['problem'])).toEqual(['', '', '']);
  });

  it('gives every person a file of their own, whatever the name, and none outside the folder', async () => {
    const { files } = await batch(
      'Name,Waist,Hip,Crotch depth,Inseam\n../Lamp: operator,70,96,26,78\nLamp operator?,72,98,26,78\n"=SUM(A1)",74,99,26,78\n',
      'svg',
    );
    expect(files).toEqual(['=SUM(A1).svg', 'Lamp operator 2.svg', 'Lamp operator.svg', 'summary.csv']);
  });

  it('writes PDF with the name of each, and DXF', async () => {
    const pdf = await batch(CREW.split('\n').slice(0, 2).join('\n'), 'pdf');
    expect(pdf.files).toEqual(['Cellist.pdf', 'summary.csv']);
    expect((await pdf.read('Cellist.pdf')).slice(0, 5)).toBe('%PDF-');
    const dxf = await batch(CREW.split('\n').slice(0, 2).join('\n'), 'dxf');
    expect(await dxf.read('Cellist.dxf')).toContain('SECTION');
  });

  it.each([
    ['', 'The table names nobody'],
    ['Name,Colour\n', 'The table names nobody'],
  ])('says what is wrong with a table of nobody: %j', async (csv, told) => {
    const { status, said, files } = await batch(csv);
    expect(status).toBe(1);
    expect(said).toContain(told);
    expect(files).toEqual([]);
  });

  it('says what is missing or unknown in the command', async () => {
    const order = join(folder, 'order.json');
    await writeFile(order, JSON.stringify(ORDER));
    const error = async (...args: string[]): Promise<string> => (await command(['batch', ...args])).error;
    expect(await error(order)).toContain('Name an order and a table of people');
    expect(await error(order, 'nobody.csv')).toContain('--out');
    expect(await error(order, 'nobody.csv', '--out', folder)).toContain('cannot be read');
    expect(await error(order, order, '--out', folder, '--format', 'doc')).toContain('There is no format “doc”');
    expect(await error(order, order, '--out', folder, '--paper', 'a9')).toContain('There is no paper “a9”');
  });
});
