import type { Charsets } from '@locutor/core/formats';

/** The charsets that browsers know (WHATWG Encoding), of which old contact cards name one. */
export const charsets: Charsets = (bytes, charset) => {
  try {
    return new TextDecoder(charset).decode(bytes);
  } catch {
    return undefined;
  }
};
