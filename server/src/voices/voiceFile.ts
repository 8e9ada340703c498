/** What `voice.json` in a voice's folder says. */
export interface VoiceFile {
  /**
   * The program that speaks, and what it is started with. `{pace}` stands for percents of the usual pace, `{pitch}` for half
   * tones above it.
   */
  readonly command: readonly [string, ...string[]];
}

const mostWords = 40;

/** Reads a `voice.json`. @throws Error that says in words what is wrong with it */
export function readVoiceFile(text: string): VoiceFile {
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch {
    throw new Error('Its voice.json is not JSON.');
  }
  const command = typeof read === 'object' && read !== null && 'command' in read ? read.command : undefined;
  if (!isCommand(command)) {
    throw new Error('Its voice.json has no "command": a list of texts, the program first.');
  }
  return { command };
}

function isCommand(value: unknown): value is VoiceFile['command'] {
  if (!Array.isArray(value) || value.length === 0 || value.length > mostWords) return false;
  return value.every((word) => typeof word === 'string') && value[0] !== '';
}

/** Whether a voice can speak at another pace and pitch than its usual ones. */
export function canTune({ command }: VoiceFile): { readonly pace: boolean; readonly pitch: boolean } {
  const names = (mark: string): boolean => command.some((word) => word.includes(mark));
  return { pace: names('{pace}'), pitch: names('{pitch}') };
}
