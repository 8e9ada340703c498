/** The SHA-256 of an audio file, in 64 hexadecimal digits: its name and its proof. */
export type AudioId = string & { readonly __kind: 'audio' };

export function isAudioId(text: string): text is AudioId {
  return /^[0-9a-f]{64}$/.test(text);
}
