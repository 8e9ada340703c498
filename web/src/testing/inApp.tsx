import { ChakraProvider } from '@chakra-ui/react';
import { render, type RenderResult } from '@testing-library/react';
import type { ReactElement, ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { SWRConfig } from 'swr';
import { api } from '../api/client';
import { system } from '../app/theme';
import { SaversProvider } from '../saving/savers';

/** What hooks and parts have around them in the application: the look, an address, and what the server said, kept anew. */
export function InApp({ children }: { readonly children: ReactNode }) {
  return (
    <ChakraProvider value={system}>
      <SWRConfig value={{ provider: () => new Map(), fetcher: api, dedupingInterval: 0, shouldRetryOnError: false }}>
        <SaversProvider>
          <MemoryRouter>{children}</MemoryRouter>
        </SaversProvider>
      </SWRConfig>
    </ChakraProvider>
  );
}

export const show = (part: ReactElement): RenderResult => render(part, { wrapper: InApp });
