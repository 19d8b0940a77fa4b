import { matchPath } from 'react-router';
import { onDemand } from './shared/on-demand.js';

/** The room and what its station shows first, fetched together. */
const withStation = async <M>(page: Promise<M>): Promise<M> => {
  const ready = import('./room/room-ready.js').then((m) => m.roomReady(window.location.pathname));
  const [module] = await Promise.all([page, ready.catch(() => undefined)]);
  return module;
};

/** A page with what its head shows; what it shows later is on its way. */
const withHead = async <M>(page: Promise<M>): Promise<M> => {
  const head = import('./head/PageHead.js').then((m) => m.HeadTools.ready());
  const [module] = await Promise.all([page, head.catch(() => undefined)]);
  return module;
};

/** The pages by their addresses, each fetched when it is first opened. */
export const PAGES = [
  { path: '/', Page: onDemand(async () => ({ default: (await import('./room/Welcome.js')).Welcome })) },
  {
    path: '/:room',
    Page: onDemand(async () => {
      void import('./keep/ShelfRow.js').then((m) => m.DraftPicture.ready()).catch(() => undefined);
      return { default: (await withHead(import('./keep/ShelfPage.js'))).ShelfPage };
    }),
  },
  {
    path: '/:room/crew',
    Page: onDemand(async () => ({ default: (await withHead(import('./people/CrewPage.js'))).CrewPage })),
  },
  {
    path: '/:room/sizes',
    Page: onDemand(async () => ({ default: (await withHead(import('./sizes/SizesPage.js'))).SizesPage })),
  },
  {
    path: '/:room/practise/:lessonId?',
    Page: onDemand(async () => ({ default: (await withHead(import('./practise/Practising.js'))).Practising })),
  },
  {
    path: '/:room/forms',
    Page: onDemand(async () => ({ default: (await withHead(import('./people/FormsPage.js'))).FormsPage })),
  },
  {
    path: '/:room/person/:personId/history',
    Page: onDemand(async () => ({ default: (await withHead(import('./people/PersonPage.js'))).PersonPage })),
  },
  {
    path: '/:room/person/:personId',
    Page: onDemand(async () => ({ default: (await withStation(import('./room/PersonRoom.js'))).PersonRoom })),
  },
  {
    path: '/:room/draft/:draftId/:station?/:view?',
    Page: onDemand(async () => ({ default: (await withStation(import('./room/Workroom.js'))).Workroom })),
  },
] as const;

/** Has the page of an address ready. */
export async function pageReady(pathname: string): Promise<void> {
  const named = PAGES.find(({ path }) => matchPath(path, pathname)) ?? PAGES[0];
  await named.Page.ready();
}
