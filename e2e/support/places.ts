import { join } from 'node:path';

export const root = join(__dirname, '..', '..');
export const scratch = join(root, '.locutor', 'e2e');
/** What the browser's pretended microphone hears: a steady tone. */
export const microphoneFile = join(scratch, 'microphone.wav');
/** The demo business, made once and copied for each test that wants it. */
export const demoData = join(root, '.locutor', 'demo-data');
