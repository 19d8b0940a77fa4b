import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { useMode } from './shared/theme-mode.js';
import { roomTheme } from './shared/theme.js';
import { usePreferences } from './store/preferences.js';
import { queryClient } from './store/queries.js';

const welcome = async () => ({ Component: (await import('./room/Welcome.js')).Welcome });

const router = createBrowserRouter([
  { path: '/', lazy: welcome },
  { path: '/:room', lazy: async () => ({ Component: (await import('./keep/ShelfPage.js')).ShelfPage }) },
  { path: '/:room/crew', lazy: async () => ({ Component: (await import('./people/CrewPage.js')).CrewPage }) },
  { path: '/:room/sizes', lazy: async () => ({ Component: (await import('./sizes/SizesPage.js')).SizesPage }) },
  { path: '/:room/forms', lazy: async () => ({ Component: (await import('./people/FormsPage.js')).FormsPage }) },
  {
    path: '/:room/person/:personId/history',
    lazy: async () => ({ Component: (await import('./people/PersonPage.js')).PersonPage }),
  },
  {
    path: '/:room/person/:personId',
    lazy: async () => ({ Component: (await import('./room/PersonRoom.js')).PersonRoom }),
  },
  {
    path: '/:room/draft/:draftId/:station?/:view?',
    lazy: async () => ({ Component: (await import('./room/Workroom.js')).Workroom }),
  },
  { path: '*', lazy: welcome },
]);

/** The whole application. */
export function App() {
  const mode = useMode(usePreferences((p) => p.theme));
  const theme = useMemo(() => roomTheme(mode), [mode]);
  useEffect(() => {
    document.documentElement.dataset['theme'] = mode;
  }, [mode]);
  return (
    <QueryClientProvider client={queryClient}>
      <ThemeProvider theme={theme}>
        <RouterProvider router={router} />
      </ThemeProvider>
    </QueryClientProvider>
  );
}
