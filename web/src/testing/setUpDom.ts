import { TextDecoder, TextEncoder } from 'node:util';

/** What jsdom lacks and the application asks of a browser. */
if (typeof window !== 'undefined') {
  Object.assign(window, {
    TextDecoder,
    TextEncoder,
    matchMedia: (media: string) => ({
      media,
      matches: false,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      addListener: () => undefined,
      removeListener: () => undefined,
    }),
    ResizeObserver: class {
      observe(): void {}
      unobserve(): void {}
      disconnect(): void {}
    },
    structuredClone: (value: unknown) => JSON.parse(JSON.stringify(value)) as unknown,
  });
}
