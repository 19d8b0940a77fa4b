import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useMemo } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Route, Routes, useLocation } from 'react-router';
import { PAGES } from './pages.js';
import { Fault } from './shared/Fault.js';
import { useMode } from './shared/theme-mode.js';
import { roomTheme } from './shared/theme.js';
import { usePreferences } from './store/preferences.js';
import { queryClient } from './store/queries.js';

const NewVersion = lazy(async () => ({ default: (await import('./shared/NewVersion.js')).NewVersion }));

const Welcome = PAGES[0].Page;

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
          {PAGES.map(({ path, Page }) => (
            <Route key={path} path={path} element={<Page />} />
          ))}
          <Route path="*" element={<Welcome />} />
        </Routes>
      </Suspense>
    </ErrorBoundary>
  );
}
