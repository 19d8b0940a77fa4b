import { beforeEach, describe, expect, it } from 'vitest';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { fileName } from '../shared/save-file.js';
import { changeAct, putAct, removeAct, takeAwayAct, replaceAct, useShelfHistory } from './shelf-history.js';

const [draft] = DEMO_WORKBOOK.drafts;
const [person] = DEMO_WORKBOOK.people;
if (!draft || !person) throw new Error('The demo is empty');

beforeEach(() => {
  useShelfHistory.setState({ past: { own: [], demo: [] }, future: { own: [], demo: [] } });
});

describe('what was done to a shelf', () => {
  it('is undone last first and done again in its order, each room for itself', () => {
    const { did, takeBack, takeAgain } = useShelfHistory.getState();
    const [remove, rename] = [removeAct(draft), replaceAct('Renamed', draft, { ...draft, name: 'Other' })];
    did('own', remove);
    did('own', rename);
    did('demo', remove);
    expect(takeBack('own')).toBe(rename);
    expect(takeBack('own')).toBe(remove);
    expect(takeBack('own')).toBeUndefined();
    expect(takeAgain('own')).toBe(remove);
    expect(takeAgain('own')).toBe(rename);
    expect(takeBack('demo')).toBe(remove);
  });

  it('forgets what was undone once something new is done', () => {
    const { did, takeBack, takeAgain } = useShelfHistory.getState();
    did('own', removeAct(draft));
    takeBack('own');
    did('own', removeAct(draft));
    expect(takeAgain('own')).toBeUndefined();
  });

  it('undoes a new person with their draft, but never a person who was there', () => {
    expect(putAct('New', person, draft, true).backward).toEqual({
      remove: { drafts: [draft.id], people: [person.id] },
    });
    expect(putAct('Copied', person, draft, false).backward).toEqual({ remove: { drafts: [draft.id] } });
    expect(removeAct(draft).backward.put?.drafts).toEqual([draft]);
  });
});

describe('a change of many things at once', () => {
  it('is undone by putting back what was there and taking away what is new', () => {
    const added = { ...person, id: 'added' };
    const act = changeAct('Merged', DEMO_WORKBOOK, { people: [{ ...person, name: 'Other' }, added] });
    expect(act.backward.put?.people).toEqual([person]);
    expect(act.backward.remove?.people).toEqual(['added']);
    expect(takeAwayAct('Gone', { people: [person] })).toMatchObject({
      forward: { remove: { people: [person.id] } },
      backward: { put: { people: [person] } },
    });
  });
});

describe('the name of a file', () => {
  it('keeps letters and figures of any language and nothing that a disk refuses', () => {
    expect(fileName('Cellist: Wide-legged dress / trouser?')).toBe('cellist-wide-legged-dress-trouser');
    expect(fileName('Größe 44 ½')).toBe('größe-44-½');
    expect(fileName('???')).toBe('draft');
  });
});
