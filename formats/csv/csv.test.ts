import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { enlist, newPerson, type Person } from '../../core/kept/index.js';
import { MEASUREMENTS, SHIPPED_CHARTS } from '../../core/measure/index.js';
import {
  columnOf,
  columnsOf,
  readChart,
  readPeople,
  readTable,
  writeChart,
  writePeople,
  writeTable,
  type ReadPeople,
} from './index.js';

function read(text: string, unit: 'cm' | 'in' = 'cm'): ReadPeople & { readonly first: Record<string, number> } {
  const { table, problems } = readTable(text);
  const people = readPeople(table, columnsOf(table.header), unit);
  const first = (people.people[0]?.sets[0]?.values ?? {}) as Record<string, number>;
  return { people: people.people, problems: [...problems, ...people.problems], first };
}

const names = (r: ReadPeople): string[] => r.people.map((p) => p.name);
const sentences = (r: ReadPeople): string => r.problems.map((p) => p.sentence).join('\n');

describe('a table of a crew', () => {
  it.each<readonly [string, string, (r: ReturnType<typeof read>) => void]>([
    [
      'commas',
      'Name,Waist,Hip\nCook,112,128\n',
      (r) => {
        expect(r.first).toEqual({ waist: 1120, hip: 1280 });
      },
    ],
    [
      'semicolons',
      'Name;Waist;Hip\nCook;112;128',
      (r) => {
        expect(r.first).toEqual({ waist: 1120, hip: 1280 });
      },
    ],
    [
      'tabs, as pasted',
      'Name\tWaist\tHip\nCook\t112\t128',
      (r) => {
        expect(r.first).toEqual({ waist: 1120, hip: 1280 });
      },
    ],
    [
      'bars',
      'Name|Waist|Hip\nCook|112|128',
      (r) => {
        expect(r.first).toEqual({ waist: 1120, hip: 1280 });
      },
    ],
    [
      'decimal commas',
      'Name;Waist;Hip\nCook;112,5;128,25',
      (r) => {
        expect(r.first).toEqual({ waist: 1125, hip: 1282.5 });
      },
    ],
    [
      'decimal commas, quoted',
      'Name,Waist,Hip\nCook,"112,5","128,25"',
      (r) => {
        expect(r.first).toEqual({ waist: 1125, hip: 1282.5 });
      },
    ],
    [
      'decimal commas unquoted between commas',
      'Name,Waist,Hip\nCook,112,5,128',
      (r) => {
        expect(sentences(r)).toMatch(/Row 2 has 1 more cell than the header.*comma inside a figure/);
      },
    ],
    [
      'a byte-order mark',
      '\ufeffName,Waist\nCook,112',
      (r) => {
        expect(names(r)).toEqual(['Cook']);
      },
    ],
    [
      'old line ends',
      'Name,Waist\rCook,112\rBargee,110',
      (r) => {
        expect(names(r)).toEqual(['Cook', 'Bargee']);
      },
    ],
    [
      'line ends of two kinds',
      'Name,Waist\r\nCook,112\nBargee,110\r\n',
      (r) => {
        expect(names(r)).toEqual(['Cook', 'Bargee']);
      },
    ],
    [
      'blank rows and rows of delimiters',
      '\n\nName,Waist\n\n,,\nCook,112\n  ,  \n',
      (r) => {
        expect(names(r)).toEqual(['Cook']);
        expect(r.problems).toEqual([]);
      },
    ],
    [
      'blank continuation cells',
      'Name,Date,Waist\nCook,2026-01-02,112\n,2026-05-02,113',
      (r) => {
        expect(r.people[0]?.sets.map((s) => [s.date, s.values.waist])).toEqual([
          ['2026-01-02', 1120],
          ['2026-05-02', 1130],
        ]);
      },
    ],
    [
      'a first row without a name',
      'Name,Waist\n,112\nBargee,110',
      (r) => {
        expect(sentences(r)).toContain('Row 2 has no name');
        expect(names(r)).toEqual(['Bargee']);
      },
    ],
    [
      'duplicated names',
      'Name,Waist\nCook,112\nBargee,110\ncook,113',
      (r) => {
        expect(names(r)).toEqual(['Cook', 'Bargee']);
        expect(r.people[0]?.sets).toHaveLength(2);
        expect(sentences(r)).toContain('Row 4: cook stands in row 2 already');
      },
    ],
    [
      'a duplicated column',
      'Name,Waist,Waist\nCook,112,99',
      (r) => {
        expect(r.first).toEqual({ waist: 1120 });
      },
    ],
    [
      'a column of inches among centimetres',
      'Name,Waist (in),Hip (cm)\nCook,44 1/8,128',
      (r) => {
        expect(r.first['waist']).toBeCloseTo(44.125 * 25.4, 6);
        expect(r.first['hip']).toBe(1280);
      },
    ],
    [
      'units in the cells',
      'Name,Waist,Hip\nCook,"44 1/8""",1280 mm',
      (r) => {
        expect(r.first['waist']).toBeCloseTo(44.125 * 25.4, 6);
        expect(r.first['hip']).toBe(1280);
      },
    ],
    [
      'a unit for each row',
      'Name,Unit,Waist\nCook,cm,112\nBargee,in,43.5',
      (r) => {
        expect(r.people[1]?.sets[0]?.values.waist).toBeCloseTo(43.5 * 25.4, 6);
      },
    ],
    [
      'a unit nobody knows',
      'Name,Unit,Waist\nCook,ells,112',
      (r) => {
        expect(sentences(r)).toContain('unit “ells” is not known');
        expect(r.first).toEqual({ waist: 1120 });
      },
    ],
    [
      'inches without saying so',
      'Name,Waist,Hip\nCook,31,38.5',
      (r) => {
        expect(sentences(r)).toMatch(/Row 2: Hip 38\.5 cm cannot be drafted.*check the unit/);
      },
    ],
    [
      'words in a figure',
      'Name,Waist,Hip\nCook,about 112,128',
      (r) => {
        expect(sentences(r)).toMatch(/Row 2, Waist “about 112”.*Write it as/);
        expect(r.first).toEqual({ hip: 1280 });
      },
    ],
    [
      'signs for a figure not taken',
      'Name,Waist,Hip,Thigh\nCook,112,-,n/a',
      (r) => {
        expect(r.first).toEqual({ waist: 1120 });
        expect(r.problems).toEqual([]);
      },
    ],
    [
      'a negative girth',
      'Name,Waist,Hip\nCook,-112,128',
      (r) => {
        expect(sentences(r)).toMatch(/Waist -112 cm cannot be drafted/);
      },
    ],
    [
      'a huge figure',
      'Name,Waist,Hip\nCook,112e9,128',
      (r) => {
        expect(sentences(r)).toContain('is not a length');
      },
    ],
    [
      'a row without figures',
      'Name,Waist\nCook,\nBargee,110',
      (r) => {
        expect(sentences(r)).toContain('Row 2, Cook: no figure could be read');
        expect(names(r)).toEqual(['Bargee']);
      },
    ],
    [
      'a short row',
      'Name,Waist,Hip\nCook,112\nBargee,110,108',
      (r) => {
        expect(r.people).toHaveLength(2);
      },
    ],
    [
      'a date that is none',
      'Name,Date,Waist\nCook,2026-02-31,112',
      (r) => {
        expect(sentences(r)).toContain('date “2026-02-31” is not a date');
        expect(r.people[0]?.sets[0]?.date).toBeUndefined();
      },
    ],
    [
      'dates of three kinds',
      'Name,Date,Waist\nA,2026-3-1,80\nB,1.3.2026,80\nC,01/03/2026,80',
      (r) => {
        expect(r.people.map((p) => p.sets[0]?.date)).toEqual(['2026-03-01', '2026-03-01', '2026-03-01']);
      },
    ],
    [
      'an unclosed quotation mark',
      'Name,Waist\nCook,112\n"Bargee,110',
      (r) => {
        expect(sentences(r)).toContain('quotation mark');
        expect(names(r)).toContain('Cook');
      },
    ],
    [
      'spaces of every kind',
      'Name , Waist\n\u00a0Cook \t,\u00a0112 ',
      (r) => {
        expect(names(r)).toEqual(['Cook']);
        expect(r.first).toEqual({ waist: 1120 });
      },
    ],
    [
      'nothing but figures',
      '78,100,27\n80,104,28',
      (r) => {
        expect(r.people).toEqual([]);
        expect(sentences(r)).toContain('Row 1 has no name');
      },
    ],
    [
      'zero bytes',
      'Name,Waist\nCo\u0000ok,112',
      (r) => {
        expect(names(r)).toEqual(['Cook']);
      },
    ],
    [
      'an empty file',
      '',
      (r) => {
        expect(r.people).toEqual([]);
      },
    ],
    [
      'foreign letters and quoted commas',
      'Name,Waist\n"Größe, Ærø",112',
      (r) => {
        expect(names(r)).toEqual(['Größe, Ærø']);
      },
    ],
  ])('reads %s', (_, text, check) => {
    check(read(text));
  });

  it('takes 100,000 rows, tells how far it is, and finds the one that is wrong', () => {
    const rows = Array.from({ length: 100_000 }, (_, i) => `Person ${i},${70 + (i % 40)},${95 + (i % 40)}`);
    rows[77_777] = 'Person 77777,wide,100';
    const { table } = readTable(['Name,Waist,Hip', ...rows].join('\n'));
    const told: number[] = [];
    const found = readPeople(table, columnsOf(table.header), 'cm', (share) => told.push(share));
    expect(found.people).toHaveLength(100_000);
    expect(found.problems.map((p) => p.row)).toEqual([77_779]);
    expect(told.length).toBeGreaterThan(100);
  });

  it('is read by the words at the head of its columns', () => {
    expect(columnOf('Inside leg, in')).toEqual({ meaning: 'inseam', unit: 'in' });
    expect(columnOf('crotchDepth')).toEqual({ meaning: 'crotchDepth', unit: undefined });
    expect(columnOf('Crotch depth (cm)')).toEqual({ meaning: 'crotchDepth', unit: 'cm' });
    expect(columnOf('Shoe')).toEqual({ meaning: 'ignore', unit: undefined });
    for (const { id, label } of MEASUREMENTS.values()) expect(columnOf(label).meaning).toBe(id);
  });
});

describe('what goes out', () => {
  it('keeps plain negative figures and marks whatever else begins as a sum would', () => {
    const text = writeTable(
      ['a'],
      [['-2.5'], ['-2'], ['-.5'], ['-2+cmd|x'], ['-2-3'], ['--1'], ['+1'], ['@x'], ['=1']],
    );
    const cells = text
      .trim()
      .split('\r\n')
      .slice(1)
      .map((cell) => cell.replaceAll('"', ''));
    expect(cells).toEqual(['-2.5', '-2', '-.5', "'-2+cmd|x", "'-2-3", "'--1", "'+1", "'@x", "'=1"]);
  });

  it('comes back the same, and no cell is taken for a formula', () => {
    const figure = fc.integer({ min: 4000, max: 20000 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(fc.array(fc.record({ waist: figure, hip: figure }), { minLength: 1, maxLength: 8 }), (sets) => {
        const rows = sets.map((values, i) => ({
          name: i === 0 ? '=Cook, "the" one' : `Person ${i}`,
          figure: 'unknown' as const,
          date: '2026-11-23',
          taker: '',
          note: '',
          values,
        }));
        const text = writePeople(rows, ['waist', 'hip'], 'cm');
        expect(text).toContain('"\'=Cook');
        const { table, problems } = readTable(text);
        expect(problems).toEqual([]);
        const back = readPeople(table, columnsOf(table.header), 'in');
        expect(back.problems).toEqual([]);
        back.people.forEach((person, i) => {
          expect(person.sets[0]?.values.waist).toBeCloseTo(sets[i]?.waist ?? NaN, 9);
        });
      }),
      { numRuns: 50 },
    );
  });

  it('keeps any words in its cells, whatever they are made of', () => {
    const cell = fc
      .string({ unit: 'grapheme', minLength: 1, maxLength: 12 })
      .map((c) => c.replace(/[\p{Cc}\p{Cf}\p{Zl}\p{Zp}\p{Zs}]/gu, '').replace(/^[=+@-]+/, '') || 'x');
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 6 }), (rows) => {
        const { table, problems } = readTable(writeTable(['Name', 'Note'], rows));
        expect(problems).toEqual([]);
        expect(table.rows.map((r) => r.cells)).toEqual(rows);
      }),
      { numRuns: 100 },
    );
  });

  it('brings a size chart out and in again', () => {
    for (const chart of SHIPPED_CHARTS) {
      const { table } = readTable(writeChart(chart, 'in'));
      const back = readChart(table, columnsOf(table.header), 'cm');
      expect(back.problems).toEqual([]);
      expect(back.sizes.map((s) => s.name)).toEqual(chart.sizes.map((s) => s.name));
      back.sizes.forEach((size, i) => {
        for (const [id, mm] of Object.entries(size.values)) {
          expect(mm).toBeCloseTo((chart.sizes[i]?.values as Record<string, number>)[id] ?? NaN, 2);
        }
      });
    }
  });

  it('refuses a size twice, a size without a name and one without figures, each in a sentence', () => {
    const { table } = readTable('Size,Waist\n36,70\n36,72\n,74\n40,wide');
    const chart = readChart(table, columnsOf(table.header), 'cm');
    expect(chart.sizes).toEqual([{ name: '36', values: { waist: 700 } }]);
    expect(chart.problems.map((p) => p.row)).toEqual([3, 4, 5, 5]);
  });
});

describe('enlisting', () => {
  const now = new Date('2026-11-23T10:00:00Z');
  let n = 0;
  const id = (): string => `id-${++n}`;
  const arrive = (text: string, here: readonly Person[]): ReturnType<typeof enlist> =>
    enlist(here, read(text).people, id, now);

  it('adds who is new, gives further sets to who is known, and takes nothing twice', () => {
    const text = 'Name,Date,Waist,Hip\nCook,2026-01-02,112,128\nBargee,2026-01-02,110,107';
    const first = arrive(text, []);
    expect(first).toMatchObject({ added: 2, grown: 0, known: 0 });
    expect(arrive(text, first.people)).toMatchObject({ people: [], added: 0, grown: 0, known: 2 });
    const later = arrive('Name,Date,Waist\n cook ,2026-06-02,113', first.people);
    expect(later).toMatchObject({ added: 0, grown: 1 });
    expect(later.people[0]?.sets.map((s) => s.date)).toEqual(['2026-01-02', '2026-06-02']);
  });

  it('brings every sound figure of any crew, and a second time none', () => {
    const waist = fc.integer({ min: 500, max: 1500 }).map((mm) => mm / 10);
    const day = fc.constantFrom('2026-01-02', '2026-05-02', '2026-09-30');
    const row = fc.tuple(fc.constantFrom('Cook', 'Bargee', 'Mate'), day, waist);
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 8 }), (rows) => {
        const text = `Name,Date,Waist\n${rows.map((r) => r.join(',')).join('\n')}`;
        const once = arrive(text, []);
        const waists = once.people.flatMap((p) => p.sets.map((s) => `${p.name} ${s.date} ${s.values.waist}`));
        for (const [name, date, cm] of rows) expect(waists).toContain(`${name} ${date} ${cm * 10}`);
        expect(arrive(text, once.people).people).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it('fills the empty set of a person nobody has measured yet', () => {
    const person = newPerson(id, 'Cook', 'cm', now);
    const grown = arrive('Name,Waist\nCook,112', [person]).people[0];
    expect(grown?.sets).toHaveLength(1);
    expect(grown?.sets[0]).toMatchObject({ id: person.sets[0]?.id, values: { waist: 1120 } });
  });
});
