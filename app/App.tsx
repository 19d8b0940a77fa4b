import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useMemo } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Route, Routes, useLocation } from 'react-router';
import { Fault } from './shared/Fault.js';
import { useMode } from './shared/theme-mode.js';
import { roomTheme } from './shared/theme.js';
import { usePreferences } from './store/preferences.js';
import { queryClient } from './store/queries.js';

const Welcome = lazy(async () => ({ default: (await import('./room/Welcome.js')).Welcome }));
const ShelfPage = lazy(async () => ({ default: (await import('./keep/ShelfPage.js')).ShelfPage }));
const CrewPage = lazy(async () => ({ default: (await import('./people/CrewPage.js')).CrewPage }));
const SizesPage = lazy(async () => ({ default: (await import('./sizes/SizesPage.js')).SizesPage }));
const Practising = lazy(async () => ({ default: (await import('./practise/Practising.js')).Practising }));
const FormsPage = lazy(async () => ({ default: (await import('./people/FormsPage.js')).FormsPage }));
const PersonPage = lazy(async () => ({ default: (await import('./people/PersonPage.js')).PersonPage }));
const PersonRoom = lazy(async () => ({ default: (await import('./room/PersonRoom.js')).PersonRoom }));
const NewVersion = lazy(async () => ({ default: (await import('./shared/NewVersion.js')).NewVersion }));
const Workroom = lazy(async () => ({ default: (await import('./room/Workroom.js')).Workroom }));

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
        <BrowserRouter>
          <Views />
        </BrowserRouter>
        <Suspense>
          <NewVersion />
        </Suspense>
      </ThemeProvider>
    </QueryClientProvider>
  );
}

/** The view that the address names; a view that fails says so, until another address is opened. */
function Views() {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary FallbackComponent={Fault} resetKeys={[pathname]}>
      <Suspense>
        <Routes>
          <Route path="/" element={<Welcome />} />
          <Route path="/:room" element={<ShelfPage />} />
          <Route path="/:room/crew" element={<CrewPage />} />
          <Route path="/:room/sizes" element={<SizesPage />} />
          <Route path="/:room/practise/:lessonId?" element={<Practising />} />
          <Route path="/:room/forms" element={<FormsPage />} />
          <Route path="/:room/person/:personId/history" element={<PersonPage />} />
          <Route path="/:room/person/:personId" element={<PersonRoom />} />
          <Route path="/:room/draft/:draftId/:station?/:view?" element={<Workroom />} />
          <Route path="*" element={<Welcome />} />
        </Routes>
      </Suspense>
    </ErrorBoundary>
  );
}
