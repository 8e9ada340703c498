import type { TellBy } from '@locutor/core/directory';

/** How somebody is told of a message. */
export const tellWords: Readonly<Record<TellBy, string>> = {
  email: 'by e-mail',
  emailWithAudio: 'by e-mail with the audio',
  text: 'by text',
};
