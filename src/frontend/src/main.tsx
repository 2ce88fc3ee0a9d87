import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Route, Routes } from 'react-router';
import { Hangar } from './hangar/Hangar';
import { NotFound } from './shell/NotFound';
import { applyStoredTheme } from './shell/theme';
import { Boundary } from './ui/Boundary';
import './styles.css';

// The dialogs' library puts a style element into the page; the page's security policy lets it in by this nonce.
setNonce(document.querySelector<HTMLMetaElement>('meta[name=csp-nonce]')?.content ?? '');
applyStoredTheme();

// The hangar is small; the bench and what belongs to it are fetched when a craft is opened.
const SetupPage = lazy(() => import('./setup/SetupPage'));
const FigurePage = lazy(() => import('./figures/FigurePage'));

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 5_000 } } });

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <Boundary name="This page">
          <Suspense
            fallback={
              <p role="status" className="p-6">
                Opening…
              </p>
            }
          >
            <Routes>
              <Route path="/" element={<Hangar />} />
              <Route path="/craft/:id/:station?" element={<SetupPage />} />
              <Route path="/figures" element={<FigurePage />} />
              <Route path="*" element={<NotFound />} />
            </Routes>
          </Suspense>
        </Boundary>
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
