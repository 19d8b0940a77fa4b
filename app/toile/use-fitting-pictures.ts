import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Fitting } from '../../core/kept/index.js';
import type { FittingFacts } from '../../core/toile/index.js';
import { photoQuery } from '../store/photos.js';
import type { RoomId } from '../store/rooms.js';

/** The photos of a fitting as a page has them; none where no fitting is given. */
export function useFittingPictures(room: RoomId, fitting: Fitting | undefined): FittingFacts['photos'] {
  const photos = fitting?.photos ?? NONE;
  const found = useQueries({
    queries: photos.map(({ id }) => photoQuery(room, id)),
    combine: (results) => results.map(({ data }) => data ?? ''),
  });
  return useMemo(
    () =>
      photos.flatMap(({ note, width, height }, i) => {
        const jpeg = found[i]?.split(',')[1];
        return jpeg === undefined ? [] : [{ jpeg, width, height, label: note }];
      }),
    [photos, found],
  );
}

const NONE: NonNullable<Fitting['photos']> = [];
