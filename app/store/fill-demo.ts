import type { IDBPDatabase } from 'idb';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import type { Schema } from './room-schema.js';
import { wholly } from './wholly.js';

/** Puts the demo workbook in the place of all that a database holds, every record with the revision given. */
export async function fillDemo(db: IDBPDatabase<Schema>, revision: number): Promise<void> {
  const tx = db.transaction(
    ['people', 'drafts', 'charts', 'practice', 'styles', 'photos', 'acts', 'meta'],
    'readwrite',
  );
  const [people, drafts] = [tx.objectStore('people'), tx.objectStore('drafts')];
  const [charts, styles] = [tx.objectStore('charts'), tx.objectStore('styles')];
  await wholly(tx, [
    ...[people, drafts, charts, styles].map((store) => () => store.clear()),
    ...(['practice', 'photos', 'acts'] as const).map((name) => () => tx.objectStore(name).clear()),
    ...DEMO_WORKBOOK.people.map((value) => () => people.put({ id: value.id, revision, value })),
    ...DEMO_WORKBOOK.drafts.map((value) => () => drafts.put({ id: value.id, revision, value })),
    ...DEMO_WORKBOOK.charts.map((value) => () => charts.put({ id: value.id, revision, value })),
    ...DEMO_WORKBOOK.styles.map((value) => () => styles.put({ id: value.id, revision, value })),
    () => tx.objectStore('meta').put('yes', 'filled'),
  ]);
}
