import { execFile } from 'node:child_process';
import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { beforeAll, describe, expect, it } from 'vitest';
import { computeDraft } from '../core/chain/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { answerTo } from './answer.js';
import { command } from './command.js';
import { readOrder } from './order.js';

const run = promisify(execFile);
let folder = '';
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'upstride-'));
});

interface Ran {
  readonly status: number;
  readonly out: string;
  readonly error: string;
}

/** The command, run here. */
async function upstride(...args: string[]): Promise<Ran> {
  const ran = await command(args);
  return { ...ran, out: String(ran.out) };
}

/** The command as a user's shell runs it. */
async function spawned(...args: string[]): Promise<Ran> {
  try {
    const { stdout, stderr } = await run(process.execPath, ['--import', 'tsx', 'cli/main.ts', ...args], {
      maxBuffer: 1e8,
    });
    return { status: 0, out: stdout, error: stderr };
  } catch (fault) {
    const { code, stdout, stderr } = fault as { code: number; stdout: string; stderr: string };
    return { status: code, out: stdout, error: stderr };
  }
}

async function order(json: unknown): Promise<string> {
  const file = join(folder, 'order.json');
  await writeFile(file, typeof json === 'string' ? json : JSON.stringify(json));
  return file;
}

const FULL = {
  measurements: { unit: 'cm', waist: 78, hip: 100, crotchDepth: 27.2, inseam: 78 },
  method: 'quarter-and-half',
  settings: { hipEase: 4, waistEase: 1, thighEase: 4, kneeGirth: 46, hemGirth: 42, split: 0.635, legDiff: 1.27 },
  set: { 'back.extension': 12 },
};

describe('the command in a shell', () => {
  it('writes its answer to standard output and ends well', async () => {
    const file = await order(FULL);
    const [there, here] = [await spawned('draft', file), await upstride('draft', file)];
    expect(there).toEqual(here);
    expect(there.status).toBe(0);
  });

  it('ends with a sentence on standard error and another status where it cannot', async () => {
    const there = await spawned('draft', join(folder, 'nowhere.json'));
    expect(there).toMatchObject({ status: 1, out: '' });
    expect(there.error).toContain('cannot be read. Give the path of an order.');
  });
});

describe('upstride draft', () => {
  it('answers an order in JSON, in mm, with the figures the order asks for', async () => {
    const { status, out } = await upstride('draft', await order(FULL));
    expect(status).toBe(0);
    const answer = JSON.parse(out) as {
      method: string;
      ledger: { name: string; value: number; source: string; formula: string; with: string }[];
      frame: Record<string, number>;
      front: Record<string, number>;
      back: Record<string, number>;
      edges: Record<string, Record<string, number>>;
      outline: Record<string, [number, number][]>;
      checks: { id: string; verdict: string; value: number }[];
      warnings: string[];
    };
    expect(answer.method).toBe('quarter-and-half');
    expect(answer.back['extension']).toBe(120);
    expect(answer.front['hipWidth']).toBeCloseTo(250 - 6.35 + 10, 9);
    expect(answer.frame['crotchLevel']).toBeCloseTo(278.35, 9);
    expect(answer.ledger.find((l) => l.name === 'back.extension')).toMatchObject({ source: 'hand', value: 120 });
    expect(answer.ledger.find((l) => l.name === 'kneeDepth')).toMatchObject({
      source: 'estimate',
      with: '27.2 + 78 ÷ 2 − 5',
    });
    expect(answer.edges['front']?.['hem']).toBeCloseTo(210 - 12.7, 6);
    expect(Object.keys(answer.edges['back'] ?? {})).toEqual([
      'waist',
      'side',
      'inseam',
      'inseamAboveKnee',
      'rise',
      'hem',
    ]);
    const outline = answer.outline['back'] ?? [];
    expect(outline.length).toBeGreaterThan(50);
    expect(
      Math.hypot(
        (outline[0]?.[0] ?? 0) - (outline.at(-1)?.[0] ?? 9),
        (outline[0]?.[1] ?? 0) - (outline.at(-1)?.[1] ?? 9),
      ),
    ).toBeLessThan(0.01);
    expect(answer.checks.find((c) => c.id === 'hip')).toMatchObject({
      verdict: 'in',
    });
    // 40 mm of ease laid off, and what the rises have left their centre lines by on the hip line.
    const hip = Number(answer.checks.find((c) => c.id === 'hip')?.value);
    expect(hip).toBeGreaterThan(1040);
    expect(hip).toBeLessThan(1065);
  });

  it('writes SVG and PDF files', async () => {
    const file = await order(FULL);
    const svg = join(folder, 'a.svg');
    const pdf = join(folder, 'a.pdf');
    expect((await upstride('draft', file, '--format', 'svg', '--out', svg)).status).toBe(0);
    expect((await upstride('draft', file, '--format', 'pdf', '--paper', 'letter', '--out', pdf)).status).toBe(0);
    expect(await readFile(svg, 'utf8')).toContain('data-name="back.rise"');
    // An inch order is cut with inch allowances: the hem lies 1 1/2 in outside, not 4 cm.
    const hemOf = async (ordered: unknown): Promise<number> => {
      const drawn = join(folder, 'hem.svg');
      expect((await upstride('draft', await order(ordered), '--format', 'svg', '--out', drawn)).status).toBe(0);
      const text = await readFile(drawn, 'utf8');
      const lowest = (name: string): number => {
        const [, data = ''] =
          new RegExp(`data-name="${name}"[^>]* d="([^"]+)"|d="([^"]+)"[^>]*data-name="${name}"`).exec(text) ?? [];
        const numbers = [...data.matchAll(/-?\d+(?:\.\d+)?/g)].map(Number);
        return Math.max(...numbers.filter((_, i) => i % 2 === 1));
      };
      return lowest('back.cut') - lowest('back.hem');
    };
    const body = { waist: '30 in', hip: '40 in', crotchDepth: '10.75 in', inseam: '31 in' };
    expect(await hemOf({ measurements: { unit: 'in', ...body }, method: 'quarter-and-half' })).toBeCloseTo(38.1, 1);
    expect(await hemOf({ measurements: { unit: 'cm', ...body }, method: 'quarter-and-half' })).toBeCloseTo(40, 1);
    expect((await readFile(pdf)).subarray(0, 5).toString()).toBe('%PDF-');
  });

  it.each([
    ['{', 'not valid JSON'],
    [{ measurements: { waist: 78, hip: 100, inseam: 78 } }, 'Crotch depth is missing'],
    [{ method: 'close' }, 'Waist is missing. Enter the waist'],
    [{ ...FULL, method: 'guess' }, 'no method “guess”'],
    [{ ...FULL, measurements: { ...FULL.measurements, hip: 0 } }, 'Hip 0 cm cannot be drafted'],
    [{ ...FULL, set: { 'back.extension': 1 } }, 'back'],
  ])('refuses a bad order in a sentence: %j', async (json, part) => {
    const { status, error, out } = await upstride('draft', await order(json));
    expect(status).toBe(1);
    expect(error).toContain(part);
    expect(error.trim().split('\n')).toHaveLength(1);
    expect(out).toBe('');
  });

  it('lists its methods', async () => {
    expect((await upstride('methods')).out).toContain('quarter-and-half');
    expect((await upstride('nonsense')).status).toBe(1);
  });
});

describe('every method', () => {
  it('is listed by its id, and answers an order with four measurements', async () => {
    const listed = JSON.parse((await upstride('methods', '--format', 'json')).out) as { id: string }[];
    expect(listed.map((m) => m.id)).toEqual(SHEETS.map((s) => s.id));
    for (const { id } of listed) {
      const read = readOrder({ measurements: FULL.measurements, method: id });
      const drafted = read.ok && computeDraft(read.value.input);
      expect([id, drafted && drafted.ok]).toEqual([id, true]);
      if (!drafted || !drafted.ok) continue;
      const answer = answerTo(drafted.value, read.ok ? read.value.input.measured : {}, 'cm');
      expect(answer).toMatchObject({ method: id, warnings: expect.any(Array) as unknown[] });
      const ledger = answer['ledger'] as { source: string; with: string }[];
      for (const line of ledger) expect([id, line.source, line.with.length > 0]).toEqual([id, line.source, true]);
    }
  });
});

describe('the list of methods', () => {
  interface Listed {
    readonly id: string;
    readonly settings: readonly {
      readonly name: string;
      readonly least: number;
      readonly most: number;
      readonly unit: string;
    }[];
    readonly choices: readonly { readonly id: string; readonly values: readonly { readonly id: string }[] }[];
  }
  it('has every setting with its range and every choice, so that an order can name them', async () => {
    const listed = JSON.parse((await upstride('methods', '--format', 'json')).out) as Listed[];
    for (const { id, settings, choices } of listed) {
      for (const choice of ['leg', 'seat', 'stomach', 'thighs', 'age']) {
        expect([id, choices.some((c) => c.id === choice && c.values.length > 1)]).toEqual([id, true]);
      }
      for (const { name, least, most, unit } of settings) {
        const given = unit === 'share' ? (least + most) / 2 : `${(least + most) / 2}mm`;
        const read = readOrder({ ...FULL, method: id, settings: { [name]: given } });
        expect([id, name, read.ok]).toEqual([id, name, true]);
      }
      for (const choice of choices) {
        for (const { id: value } of choice.values) {
          expect(readOrder({ ...FULL, method: id, settings: { [choice.id]: value } }).ok).toBe(true);
        }
      }
    }
  });

  it('takes build, age, leg, a school of the waist and shares, and refuses what it does not know', () => {
    const drafted = (settings: object, figure = 'woman'): ReturnType<typeof computeDraft> => {
      const read = readOrder({ measurements: { ...FULL.measurements, figure }, settings });
      if (!read.ok) throw new Error(JSON.stringify(read.refusals));
      return computeDraft(read.value.input);
    };
    const back = (settings: object, figure?: string): number => {
      const outcome = drafted(settings, figure);
      return outcome.ok ? outcome.value.worked.back.centreLift : NaN;
    };
    expect(back({ seat: 'full' }) - back({})).toBeCloseTo(20, 6);
    expect(back({}, 'child')).toBeCloseTo(6.35 / 2, 6);
    expect(back({ age: 'adult' }, 'child')).toBeCloseTo(6.35, 6);
    const shared = drafted({ waistPlan: 'shared' });
    expect(shared.ok && shared.value.block.back.darts.length).toBe(0);
    const share = drafted({ leg: 'ratio', kneeShare: 0.5 });
    expect(share.ok && share.value.worked.front.kneeWidth + share.value.worked.back.kneeWidth).toBeCloseTo(500, 6);
    for (const settings of [{ waistPlan: 'sideways' }, { kneeShare: 'half' }, { hipKept: 'yes' }, { nonsense: 3 }]) {
      expect(readOrder({ ...FULL, settings }).ok).toBe(false);
    }
    const read = readOrder({ ...FULL, settings: { seat: 'enormous' } });
    expect(read.ok && computeDraft(read.value.input)).toMatchObject({ ok: false, refusals: [{ field: 'seat' }] });
  });
});

describe('reading an order', () => {
  const refusals = (json: unknown): string[] => {
    const read = readOrder(json);
    return read.ok ? [] : read.refusals.map((r) => r.field);
  };
  it('takes strings as makers write them, in any unit', () => {
    const read = readOrder({
      measurements: { unit: 'in', waist: '30 3/4', hip: 39.5, crotchDepth: '10¾', inseam: '780mm' },
      settings: { variant: 'surplus-shared', hipKept: false },
    });
    expect(read).toMatchObject({
      ok: true,
      value: {
        unit: 'in',
        input: {
          measured: { waist: 30.75 * 25.4, crotchDepth: 273.05, inseam: 780 },
          choices: { variant: 'surplus-shared' },
          rules: { hipKept: false },
        },
      },
    });
  });
  it('takes a fit class and the stretch of the cloth, and the outseam in the place of the inseam', () => {
    const { waist, hip, crotchDepth } = FULL.measurements;
    const read = readOrder({
      measurements: { unit: 'cm', waist, hip, crotchDepth, outseam: 106 },
      settings: { fitClass: 'knit', stretch: 0.5 },
    });
    expect(read).toMatchObject({ ok: true, value: { input: { fit: { fitClass: 'knit', stretch: 0.5 } } } });
    const drafted = read.ok && computeDraft(read.value.input);
    expect(drafted && drafted.ok && drafted.value.worked.ledger.get('inseam')).toMatchObject({
      source: 'estimate',
      value: 1060 - 272,
    });
    expect(drafted && drafted.ok && drafted.value.worked.ledger.get('hipEase')?.value).toBeCloseTo(-50, 9);
    expect(refusals({ measurements: FULL.measurements, settings: { fitClass: 'tight', stretch: 40 } })).toEqual([
      'fitClass',
      'stretch',
    ]);
  });
  it('names every field that is wrong', () => {
    const four = FULL.measurements;
    expect(refusals({ measurements: { ...four, seat: 3 } })).toEqual(['seat']);
    expect(refusals({ measurements: { ...four, waist: 'wide' } })).toEqual(['waist']);
    expect(refusals({ measurements: four, settings: { colour: 1, hipEase: 'much' } })).toEqual(['colour', 'hipEase']);
    expect(refusals({ measurements: four, set: { 'back.depth': 'deep' } })).toEqual(['back.depth']);
    expect(refusals({ measurements: { ...four, unit: 'ell' } })).toEqual(['measurements.unit']);
    expect(refusals([])).toHaveLength(1);
  });
});

describe('alterations in an order', () => {
  const wedge = {
    kind: 'wedge',
    panel: 'back',
    from: { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
    hinge: { edge: 'side', level: { line: 'hipLevel', by: 0 } },
    by: '12mm',
  };
  const riseOf = async (alterations: unknown[]): Promise<number> => {
    const { out } = await upstride('draft', await order({ ...FULL, set: {}, alterations }));
    return (JSON.parse(out) as { edges: { back: { rise: number } } }).edges.back.rise;
  };

  it('are done, in the unit of the order, and left out where switched off', async () => {
    const plain = await riseOf([]);
    expect((await riseOf([wedge])) - plain).toBeCloseTo(12, 1);
    expect((await riseOf([{ ...wedge, by: 1.2 }])) - plain).toBeCloseTo(12, 1);
    expect((await riseOf([{ ...wedge, on: false }])) - plain).toBe(0);
  });

  it('that are not understood are refused with their place', async () => {
    const answer = await upstride('draft', await order({ ...FULL, alterations: [wedge, { ...wedge, by: 'a lot' }] }));
    expect(answer.status).toBe(1);
    expect(answer.error).toContain('alterations.1.by');
    expect(answer.error).toContain('a lot');
  });

  it('that cannot be done on this body are told and left out', async () => {
    const high = { line: 'waistLine', by: 4 };
    const through = { ...wedge, from: { edge: 'rise', level: high }, hinge: { edge: 'side', level: high } };
    const { status, out } = await upstride('draft', await order({ ...FULL, alterations: [through] }));
    const answer = JSON.parse(out) as { warnings: string[]; alterations: { done: boolean }[] };
    expect(status).toBe(0);
    expect(answer.alterations[0]?.done).toBe(false);
    expect(answer.warnings.join(' ')).toContain('dart');
  });
});

describe('upstride true', () => {
  it('prints an order that, drafted, has every measured target met', async () => {
    const short = {
      ...FULL,
      set: {},
      settings: {},
      measurements: { ...FULL.measurements, backRise: 38.4, frontRise: 29 },
    };
    const { status, out } = await upstride('true', await order(short));
    expect(status).toBe(0);
    const answer = JSON.parse(out) as {
      order: { alterations: unknown[]; set: Record<string, number> };
      targets: string[];
      before: { id: string; verdict: string }[];
      after: { id: string; value: number; verdict: string }[];
      conflicts: unknown[];
    };
    expect(answer.before.find((c) => c.id === 'backRise')?.verdict).toBe('out');
    expect(answer.conflicts).toEqual([]);
    const again = await upstride('draft', await order(answer.order));
    const { checks } = JSON.parse(again.out) as { checks: { id: string; value: number; verdict: string }[] };
    for (const id of answer.targets) {
      const check = checks.find((c) => c.id === id);
      expect([id, check?.verdict]).toEqual([id, 'in']);
      expect(check?.value).toBeCloseTo(answer.after.find((c) => c.id === id)?.value ?? NaN, 1);
    }
  });

  it('refuses a bad order in a sentence', async () => {
    const { status, error } = await upstride('true', await order({ measurements: { waist: 78 } }));
    expect(status).toBe(1);
    expect(error).toContain('Hip is missing.');
  });
});
