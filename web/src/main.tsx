import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-600.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-700.css';
import './styles';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App';
import { Problem } from './api/client';

// The server puts a fresh nonce into the page, so that only our own styles run.
const nonce = document.querySelector<HTMLMetaElement>('meta[name=csp-nonce]')?.content;
const cache = createCache({ key: 'b', nonce, prepend: true });
const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      retry: (n, e) => n < 2 && e instanceof Problem && (e.status === 0 || e.status >= 500),
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <CacheProvider value={cache}>
      <QueryClientProvider client={client}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </CacheProvider>,
  );
