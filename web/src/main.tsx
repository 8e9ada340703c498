import '@fontsource-variable/source-serif-4/wght.css';
import '@fontsource-variable/source-serif-4/wght-italic.css';
import '@fontsource/ibm-plex-mono/latin-400.css';
import '@fontsource/ibm-plex-mono/latin-500.css';
import '@fontsource/ibm-plex-sans/latin-400.css';
import '@fontsource/ibm-plex-sans/latin-500.css';
import '@fontsource/ibm-plex-sans/latin-600.css';
import { ChakraProvider } from '@chakra-ui/react';
import { ThemeProvider } from 'next-themes';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';
import { Mishap } from './app/Mishap';
import { system } from './app/theme';
import { windowsIn } from './saving/backups';
import { SaversProvider } from './saving/savers';
import { meetWindows } from './saving/windows';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root');
// What another open window keeps must not be taken for what a closed one left.
await meetWindows(windowsIn()).catch(() => undefined);
createRoot(root).render(
  <ChakraProvider value={system}>
    <ThemeProvider attribute="class" disableTransitionOnChange>
      <SaversProvider>
        <Mishap>
          <App />
        </Mishap>
      </SaversProvider>
    </ThemeProvider>
  </ChakraProvider>,
);
