import { z } from 'zod';
import { CHECK_IDS } from '../check/index.js';
import { fileRefusal, good, refused, type FileRefusal, type Outcome } from '../refusal/index.js';
import { DOES, type DoesId } from './does.js';
import { SEEN_AT, type Knowledge } from './knowledge.js';

/** What marks a file as knowledge of toiles. */
const KNOWLEDGE_FORMAT = 'upstride-toile-knowledge';
const VERSION = 1;

const id = z.string().min(1).max(100);
const words = z.string().min(1).max(1000);
const is = z.enum(['low', 'high']);
const where = z.enum(['front', 'side', 'back']);
const at = z.enum(SEEN_AT);

const knowledgeSchema = z.strictObject({
  seen: z.array(z.strictObject({ id, where, at: at.optional(), words })).max(200),
  causes: z
    .array(
      z.strictObject({
        id,
        words,
        why: words,
        does: z.enum(Object.keys(DOES) as [DoesId, ...DoesId[]]),
        seen: z.record(id, z.number().min(0).max(10)),
        evidence: z
          .array(
            z.union([
              z.strictObject({ check: z.enum(CHECK_IDS), is }),
              z.strictObject({ figure: z.literal('seatLean'), is }),
            ]),
          )
          .max(20),
        pins: z.array(id).max(20),
      }),
    )
    .max(200),
  pins: z
    .array(
      z.strictObject({
        id,
        where: where.optional(),
        at: at.optional(),
        words,
        times: z.number().min(0.1).max(10).optional(),
      }),
    )
    .max(100),
});

const fileSchema = knowledgeSchema.extend({ format: z.literal(KNOWLEDGE_FORMAT), version: z.literal(VERSION) });

/** What is known of toiles as the text of a file, to be read and changed in any editor. */
export const writeKnowledge = ({ seen, causes, pins }: Knowledge): string =>
  `${JSON.stringify({ format: KNOWLEDGE_FORMAT, version: VERSION, seen, causes, pins }, undefined, 2)}\n`;

/** Where names lead nowhere, or two things have one: the place in the file and what is the matter. */
function looseEnd({ seen, causes, pins }: Knowledge): readonly [place: string, fault: string] | undefined {
  for (const [place, list] of [
    ['seen', seen],
    ['causes', causes],
    ['pins', pins],
  ] as const) {
    const ids = list.map((one) => one.id);
    const again = ids.find((one, i) => ids.indexOf(one) !== i);
    if (again !== undefined) return [`${place}.${again}`, 'the name stands there twice'];
  }
  for (const cause of causes) {
    const unseen = Object.keys(cause.seen).find((one) => !seen.some((s) => s.id === one));
    if (unseen !== undefined) return [`causes.${cause.id}.seen`, `nothing that is seen is called “${unseen}”`];
    const unpinned = cause.pins.find((one) => !pins.some((p) => p.id === one));
    if (unpinned !== undefined) return [`causes.${cause.id}.pins`, `no pin is called “${unpinned}”`];
  }
  return undefined;
}

/** Reads knowledge of toiles that a maker changed; refused with the place that is wrong. */
export function readKnowledge(text: string): Outcome<Knowledge, FileRefusal> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refused(fileRefusal('knowledge', 'knowledgeUnread'));
  }
  const format = typeof json === 'object' && json !== null && 'format' in json ? json.format : undefined;
  if (format !== KNOWLEDGE_FORMAT) return refused(fileRefusal('knowledge', 'knowledgeForeign'));
  const read = fileSchema.safeParse(json);
  if (!read.success) {
    const [issue] = read.error.issues;
    const place = (issue?.path ?? []).join('.');
    return refused(fileRefusal('knowledge', 'knowledgeDamaged', { place, fault: issue?.message ?? '' }));
  }
  const { seen, causes, pins } = read.data;
  const knowledge = { seen, causes, pins } as Knowledge;
  const loose = looseEnd(knowledge);
  if (!loose) return good(knowledge);
  const [place, fault] = loose;
  return refused(fileRefusal('knowledge', 'knowledgeDamaged', { place, fault }));
}
