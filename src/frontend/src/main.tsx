import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Route, Routes } from 'react-router';
import { Hangar } from './hangar/Hangar';
import { ProblemError } from './api/client';
import { fetchAhead, later } from './shell/later';
import { NotFound } from './shell/NotFound';
import { applyStoredTheme } from './shell/theme';
import { Boundary } from './ui/Boundary';
import { keepFocus } from './ui/keepFocus';
import './styles.css';

// The dialogs' library puts a style element into the page; the page's security policy lets it in by this nonce.
setNonce(document.querySelector<HTMLMetaElement>('meta[name=csp-nonce]')?.content ?? '');
applyStoredTheme();

// The hangar is small; the bench and what belongs to it are fetched when a craft is opened.
const SetupPage = later(() => import('./setup/SetupPage'));
const WordsPage = later(() => import('./figures/WordsPage'));
const FigurePage = later(() => import('./figures/FigurePage'));

/** So long after its start the page fetches what it may need later, in milliseconds: what it needs now comes first. */
const WHEN_OPENED = 1_000;

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // What is asked while the server is away waits for it; an answer that is a refusal is asked for once more.
      retry: (failed, error) => failed < 1 || (error instanceof ProblemError && error.status === 0),
      refetchOnReconnect: 'always',
      staleTime: 5_000,
    },
    // What changes something is never kept for later.
    mutations: { networkMode: 'always' },
  },
});

const root = document.getElementById('root')!;
keepFocus(root);
createRoot(root).render(
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
              <Route path="/words" element={<WordsPage />} />
              <Route path="*" element={<NotFound />} />
            </Routes>
          </Suspense>
        </Boundary>
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);

setTimeout(() => void fetchAhead(), WHEN_OPENED);
