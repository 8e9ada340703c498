type ReadText = { readonly ok: true; readonly text: string } | { readonly ok: false; readonly says: string };

const largestFile = 20_000_000;

/** Reads a file as text: UTF-8 or UTF-16 where it is that, else the older Western European charset of many programs. */
export async function readTextFile(file: File): Promise<ReadText> {
  if (file.size > largestFile) return { ok: false, says: `${file.name} is too large: at most 20 MB.` };
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (bytes.length === 0) return { ok: false, says: `${file.name} is empty.` };
  const marked = decodeMarked(bytes);
  const text = marked ?? decodeUnmarked(bytes);
  return text.includes('\u0000')
    ? { ok: false, says: `${file.name} is no text. Save it as CSV or vCard first.` }
    : { ok: true, text };
}

/** Text whose first bytes say what it is (the byte order mark). */
function decodeMarked(bytes: Uint8Array): string | undefined {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  return undefined;
}

function decodeUnmarked(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
