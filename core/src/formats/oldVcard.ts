import { contentLine, linesOf, type ContentLine } from './contentLine';

/** Text from bytes of a charset by its name (IANA), as a platform knows them; undefined where it does not know one. */
export type Charsets = (bytes: Uint8Array, charset: string) => string | undefined;

export const latin1: Charsets = (bytes) => String.fromCharCode(...bytes);

/**
 * Cards of version 2.1 made like those of 3.0, which libraries read: bare types named, quoted-printable text (RFC 2045, section
 * 6.7) decoded from its charset. What is no old card stays as it is, its lines ended by CRLF.
 */
export function asNewer(text: string, charsets: Charsets): readonly string[] {
  const lines = linesOf(text);
  const newer: string[] = [];
  for (let at = 0; at < lines.length; at += 1) {
    const line = lines[at] ?? '';
    const content = contentLine(line);
    if (!content || content.parameters.length === 0) {
      newer.push(line);
      continue;
    }
    const isQuoted = content.parameters.some(isQuotedPrintable);
    let { value } = content;
    // A line of quoted-printable text goes on after a "=" at its end.
    for (; isQuoted && value.endsWith('=') && at + 1 < lines.length; at += 1)
      value = value.slice(0, -1) + lines[at + 1];
    newer.push(written({ ...content, value: isQuoted ? unquoted(value, charsetOf(content), charsets) : value }));
  }
  return newer;
}

function written({ name, parameters, value }: ContentLine): string {
  const named = parameters.map((each) => (each.includes('=') ? each : `TYPE=${each}`));
  return `${[name, ...named].join(';')}:${value}`;
}

function isQuotedPrintable(parameter: string): boolean {
  const plain = parameter.toUpperCase();
  return plain === 'QUOTED-PRINTABLE' || plain === 'ENCODING=QUOTED-PRINTABLE';
}

function charsetOf({ parameters }: ContentLine): string {
  const stated = parameters.find((each) => each.toUpperCase().startsWith('CHARSET='));
  return stated?.slice('CHARSET='.length) ?? 'utf-8';
}

/** Text with line breaks in it, such as an address, stays one line of the card. */
function unquoted(value: string, charset: string, charsets: Charsets): string {
  return linesOf(decoded(value, charset, charsets)).join('\\n');
}

function decoded(value: string, charset: string, charsets: Charsets): string {
  let text = '';
  let bytes: number[] = [];
  const flush = (): void => {
    if (bytes.length > 0) text += textOf(Uint8Array.from(bytes), charset, charsets);
    bytes = [];
  };
  for (let at = 0; at < value.length; at += 1) {
    const byte = value[at] === '=' ? byteOf(value.slice(at + 1, at + 3)) : undefined;
    if (byte === undefined) {
      flush();
      text += value[at];
    } else {
      bytes.push(byte);
      at += 2;
    }
  }
  flush();
  return text;
}

const hexDigits = '0123456789ABCDEF';

function byteOf(hex: string): number | undefined {
  const [high, low] = [...hex.toUpperCase()].map((digit) => hexDigits.indexOf(digit));
  return high === undefined || low === undefined || high < 0 || low < 0 ? undefined : high * 16 + low;
}

function textOf(bytes: Uint8Array, charset: string, charsets: Charsets): string {
  const known = charsets(bytes, charset);
  if (known !== undefined && charsets !== latin1) return known;
  if (!['UTF-8', 'UTF8'].includes(charset.toUpperCase())) return known ?? String.fromCharCode(...bytes);
  try {
    return decodeURIComponent([...bytes].map((byte) => `%${byte.toString(16).padStart(2, '0')}`).join(''));
  } catch {
    // It is not in the charset that it says: as it stood there.
    return [...bytes].map((byte) => `=${byte.toString(16).padStart(2, '0').toUpperCase()}`).join('');
  }
}
