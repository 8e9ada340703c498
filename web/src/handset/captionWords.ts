import type { EndReason, TranscriptEntry } from '@locutor/core/call';
import { sheetOfSlot, type Names } from '@locutor/core/line';
import type { Source } from '@locutor/core/speech';
import { showLength } from '../parts/time';

/** What happened besides what was said, in words; null for what needs none. */
export function captionOf(entry: TranscriptEntry, names: Names): string | null {
  switch (entry.type) {
    case 'key':
      if (entry.use === 'ignored') return `You press ${entry.key}; keys do nothing here`;
      return entry.use === 'wrong' ? `You press ${entry.key}, which has no use here` : `You press ${entry.key}`;
    case 'silence':
      return 'No key was pressed';
    case 'ringing':
      return `Ringing ${names[entry.personId] ?? 'somebody'} for up to ${entry.seconds} s`;
    case 'answered':
      return `${names[entry.personId] ?? 'Somebody'} answers`;
    case 'notAnswered':
      return notAnsweredWords[entry.why](names[entry.personId] ?? 'Somebody deleted');
    case 'recording':
      return 'Beep. Recording your message';
    case 'message':
      return entry.kept
        ? `Message of ${showLength(entry.lengthMs)} left in ${names[entry.boxId] ?? 'a box'}`
        : 'Too short to be a message; not kept';
    case 'ended':
      return endWords[entry.reason];
    case 'called':
    case 'sheet':
    case 'said':
      return null;
  }
}

const notAnsweredWords = {
  noAnswer: (name: string) => `${name} does not answer`,
  busy: (name: string) => `${name} is busy`,
  deleted: (name: string) => `${name} cannot be rung`,
} as const;

const endWords: Readonly<Record<EndReason, string>> = {
  callerHungUp: 'You hung up',
  staffHungUp: 'The other side hung up',
  hungUp: 'The line hung up',
  messageTaken: 'Message taken; the line hung up',
  pathRanOut: 'The path has no further step; the line hung up',
  circle: 'The menus go round in a circle; the line hung up',
  longestCall: 'The longest call is over; the line hung up',
};

/** The address of the place where something spoken was written. */
export function linkOf(source: Source): string {
  switch (source.type) {
    case 'words':
      return `/script/${source.sheetId}`;
    case 'option':
      return `/script/${source.sheetId}?key=${encodeURIComponent(source.key)}`;
    case 'step': {
      const sheetId = sheetOfSlot(source.slot);
      const key = source.slot.type === 'key' ? `?key=${encodeURIComponent(source.slot.key)}` : '';
      return sheetId ? `/script/${sheetId}${key}` : '/hours';
    }
    case 'box':
      return '/directory/boxes';
    case 'line':
      return '/script';
  }
}
