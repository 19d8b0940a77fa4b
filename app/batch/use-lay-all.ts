import { useEffect, useRef, useState } from 'react';
import type { ClothData } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import { sectionsOf, sectionsPaired, type FoundLay, type LayCloth, type Section } from '../../core/lay/index.js';
import type { Job } from '../shared/job.js';
import { SEARCHES, startOneLay } from '../shared/lay-search.js';
import type { BatchTask, BodyShapes } from '../workers/batch.worker.js';
import { startShapes } from './batch-job.js';

/** Each garment is laid by itself at first; looked on, two beside one another share what is left at their ends. */
const EACH = 1;

/** A section with its lay, once it has one. */
export interface SectionLaid {
  readonly section: Section;
  readonly lay: FoundLay | undefined;
}

/** All garments on one cloth, section by section. */
export interface AllLaid {
  readonly sections: readonly SectionLaid[];
  readonly bodies: readonly BodyShapes[];
  readonly busy: boolean;
  readonly fault: string | undefined;
  /** Lays what is not laid yet, then looks for shorter ones; each section for so long, in ms. */
  readonly search: (forMs: number) => void;
  readonly stop: () => void;
}

/** What was laid of whom, on what: of anything else it is not shown. */
interface State {
  readonly tasks: readonly BatchTask[];
  readonly of: string;
  readonly sections: readonly SectionLaid[];
  readonly bodies: readonly BodyShapes[];
  readonly busy: boolean;
  readonly fault: string | undefined;
}

const NONE: readonly SectionLaid[] = [];
const NOBODY: readonly BodyShapes[] = [];
const messageOf = (fault: unknown): string => (fault instanceof Error ? fault.message : String(fault));

/** Lays the garments of all bodies on one cloth in workers, a section at a time in each; stopped, what is laid stays. */
export function useLayAll(
  tasks: readonly BatchTask[],
  kind: Cloth,
  cloth: LayCloth,
  { nap, fold }: Pick<ClothData, 'nap' | 'fold'>,
): AllLaid {
  const [state, setState] = useState<State>();
  const jobs = useRef(new Set<Job<unknown>>());
  const round = useRef(0);
  const run = useRef(0);
  const halt = (): void => {
    run.current++;
    for (const job of jobs.current) job.stop();
    jobs.current.clear();
  };
  const of = `${kind} ${nap} ${fold} ${JSON.stringify(cloth)}`;
  useEffect(() => halt, [tasks, of]);
  const shown = state?.of === of && state.tasks === tasks ? state : undefined;

  const laySections = (bodies: readonly BodyShapes[], before: readonly SectionLaid[], forMs: number): void => {
    const mine = ++run.current;
    const seed = ++round.current;
    const laid = [...before];
    const open = laid
      .map((_, i) => i)
      .sort((a, b) => Number(laid[a]?.lay !== undefined) - Number(laid[b]?.lay !== undefined));
    let left = open.length;
    setState({ tasks, of, bodies, sections: laid, busy: left > 0, fault: undefined });
    const next = (): void => {
      const i = open.shift();
      const one = i === undefined ? undefined : laid[i];
      if (i === undefined || !one) return;
      const task = { shapes: one.section.shapes, cloth, from: one.lay?.placed ?? [], locked: [] };
      const job = startOneLay(task, seed * 1000 + i, forMs);
      jobs.current.add(job);
      job.answer
        .then((lay) => {
          if (run.current !== mine) return;
          jobs.current.delete(job);
          if (!one.lay || lay.length < one.lay.length) laid[i] = { ...one, lay };
          left -= 1;
          setState({ tasks, of, bodies, sections: [...laid], busy: left > 0, fault: undefined });
          next();
        })
        .catch((fault: unknown) => {
          if (run.current !== mine) return;
          halt();
          setState({ tasks, of, bodies, sections: [...laid], busy: false, fault: messageOf(fault) });
        });
    };
    for (let k = 0; k < SEARCHES; k++) next();
  };
  return {
    sections: shown?.sections ?? NONE,
    bodies: shown?.bodies ?? NOBODY,
    busy: shown?.busy ?? false,
    fault: shown?.fault,
    search: (forMs) => {
      halt();
      if (shown && shown.sections.length > 0) {
        const { sections, bodies } = shown;
        const laid = sections.flatMap(({ section, lay }) => (lay ? [{ section, lay }] : []));
        const alone = laid.length === sections.length && laid.every((s) => s.section.keys.length === EACH);
        laySections(bodies, alone ? sectionsPaired(laid, cloth.gap) : sections, forMs);
        return;
      }
      const mine = run.current;
      setState({ tasks, of, bodies: NOBODY, sections: NONE, busy: true, fault: undefined });
      const job = startShapes(tasks, kind, { nap, fold });
      jobs.current.add(job);
      job.answer
        .then((bodies) => {
          if (run.current !== mine) return;
          jobs.current.delete(job);
          laySections(
            bodies,
            sectionsOf(bodies, EACH).map((section) => ({ section, lay: undefined })),
            forMs,
          );
        })
        .catch((fault: unknown) => {
          if (run.current === mine)
            setState({ tasks, of, bodies: NOBODY, sections: NONE, busy: false, fault: messageOf(fault) });
        });
    },
    stop: () => {
      halt();
      setState((was) => was && { ...was, busy: false });
    },
  };
}
