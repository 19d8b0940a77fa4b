import { useEffect, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { CLOTH_LABELS, clothOf } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import {
  clothsOf,
  clothWords,
  garmentShapes,
  laidUnder,
  layAreaOf,
  layCloth,
  layFault,
  quickLength,
  toBuy,
  type FoundLay,
  type LengthFrom,
} from '../../core/lay/index.js';
import type { Piece } from '../../core/piece/index.js';
import { formatLength } from '../../core/units/index.js';
import { lastLayOf, noteLay, useLastLays } from '../store/last-lays.js';
import { useTape, useUnit, useWork } from '../store/work-context.js';
import { withFractions } from './fractions.js';
import type { Job } from './job.js';
import { startEstimate, startLay } from './lay-search.js';
import './cloth-needed.css';

const FROM: Readonly<Record<LengthFrom, string>> = {
  lay: 'as laid',
  figures: 'from the last lay, by what was changed',
  estimate: 'an estimate; not laid yet',
};

/** What is not laid yet is laid for so long, once nothing has changed for a while, in ms. */
const FIRST_MS = 2500;
const SETTLED_MS = 700;

/** How much of each cloth a garment takes, told at once and laid soon after. */
export function ClothNeeded({ pieces }: { readonly pieces: readonly Piece[] }) {
  const { room = '', draftId = '' } = useParams();
  const { cloths, lays: kept } = useWork(({ work }) => work.draft);
  const found = useLastLays((s) => s.lays);
  const unit = useUnit();
  const tape = useTape();
  const needed = useMemo(
    () =>
      clothsOf(pieces).map((kind: Cloth) => {
        const cloth = clothOf(cloths, kind, unit);
        const last = lastLayOf(found, draftId, kind) ?? kept?.[kind];
        const shapes = garmentShapes(pieces, kind, cloth.nap, cloth.fold);
        const laidOn = layCloth(cloths, kind, unit);
        const under = laidUnder(shapes, laidOn);
        const quick = quickLength(shapes, laidOn, last);
        return { kind, width: cloth.width, shapes, laidOn, under, known: last?.under === under, ...quick };
      }),
    [pieces, cloths, kept, found, draftId, unit],
  );
  useEffect(() => {
    const jobs = needed
      .filter(({ known, shapes, laidOn }) => !known && layFault(shapes, laidOn, String) === undefined)
      .map(({ kind, shapes, laidOn, under }) => {
        const job = startEstimate(shapes, laidOn);
        job.answer
          .then((length) => {
            noteLay(draftId, kind, { length, area: layAreaOf(shapes), under, estimated: true });
          })
          .catch(() => undefined);
        return job;
      });
    return () => {
      for (const job of jobs) job.stop();
    };
  }, [needed, draftId]);
  useEffect(() => {
    const open = needed.filter((n) => n.from !== 'lay');
    let job: Job<FoundLay> | undefined;
    const next = (): void => {
      const one = open.shift();
      if (!one) return;
      const { kind, shapes, laidOn, under } = one;
      if (layFault(shapes, laidOn, String) !== undefined) {
        next();
        return;
      }
      job = startLay({ shapes, cloth: laidOn, from: [], locked: [] }, 1, FIRST_MS, () => undefined);
      job.answer
        .then(({ length }) => {
          noteLay(draftId, kind, { length, area: layAreaOf(shapes), under });
          next();
        })
        .catch(() => undefined);
    };
    const timer = window.setTimeout(next, SETTLED_MS);
    return () => {
      window.clearTimeout(timer);
      job?.stop();
    };
  }, [needed, draftId]);
  return (
    <ul className="cloth-needed">
      {needed.map(({ kind, width, length, from }) => (
        <li key={kind} data-needed={kind} data-from={from}>
          {withFractions(
            `${CLOTH_LABELS[kind]}: ${from === 'lay' ? '' : 'about '}${clothWords(toBuy(length, unit), unit)} of ${formatLength(width, tape)} cloth`,
          )}{' '}
          <span className="quiet">({FROM[from]})</span>
        </li>
      ))}
      <li>
        <Link to={`/${room}/draft/${draftId}/cut/lay`}>Lay it on cloth</Link>
      </li>
    </ul>
  );
}
