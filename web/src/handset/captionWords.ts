import type { EndReason, NotAnswered, RungPhone, Target, TranscriptEntry } from '@locutor/core/call';
import { showPhoneNumber } from '@locutor/core/directory';
import { sheetOfSlot, type Names } from '@locutor/core/line';
import type { Source } from '@locutor/core/speech';
import { showLength } from '../parts/time';

/** What happened besides what was said, in words; null for what needs none. */
export function captionOf(entry: TranscriptEntry, names: Names): string | null {
  switch (entry.type) {
    case 'key':
      if (entry.use === 'ignored') return `You press ${entry.key}; keys do nothing here`;
      if (entry.use === 'digit') return `You press ${entry.key} …`;
      return entry.use === 'wrong' ? `You press ${entry.key}, which has no use here` : `You press ${entry.key}`;
    case 'silence':
      return 'No key was pressed';
    case 'ringing':
      return `Ringing ${phoneName(entry.phone, names)}${entry.forMs === null ? '' : ` for up to ${Math.round(entry.forMs / 1000)} s`}`;
    case 'askedToAccept':
      return `${phoneName(entry.phone, names)} picked up and is asked to press 1`;
    case 'answered':
      return `${phoneName(entry.phone, names)} answers`;
    case 'notAnswered':
      return notAnsweredWords[entry.why](targetName(entry.target, names));
    case 'handedOver':
      return `Handed over to ${targetName(entry.target, names)}`;
    case 'spoke':
      return entry.understood ? `You say “${entry.words}”` : `You say “${entry.words}”, which is not understood`;
    case 'dialledExtension':
      return entry.personId
        ? `Extension ${entry.digits} is ${names[entry.personId] ?? 'somebody deleted'}`
        : `Nobody has extension ${entry.digits}`;
    case 'spelled':
      return `${entry.digits} matches ${entry.matches.map((id) => names[id] ?? '?').join(', ') || 'nobody'}`;
    case 'callRecording':
      return entry.on ? 'The call is recorded from here on' : 'The call is no longer recorded';
    case 'line':
      return `Handed over to ${names[entry.lineId] ?? 'another line'}`;
    case 'blocked':
      return `This number is in ${names[entry.callerListId] ?? 'a blocked list'}`;
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

const notAnsweredWords: Readonly<Record<NotAnswered, (name: string) => string>> = {
  noAnswer: (name) => `${name} does not answer`,
  busy: (name) => `${name} is busy`,
  deleted: (name) => `${name} cannot be rung`,
  notWorking: (name) => `${name} is not working now`,
  notAccepted: (name) => `${name} did not press 1`,
  notANumber: () => 'That is no telephone number; it is passed over',
  ownNumber: () => 'That is the line’s own number; it is passed over',
  outOfService: (name) => `${name} is not in service today`,
};

/** What whoever is rung is called. */
export function targetName(target: Target, names: Names): string {
  if (target.type === 'person') return names[target.personId] ?? 'Somebody deleted';
  const name = target.contactId && names[target.contactId];
  return name || (target.number ? showPhoneNumber(target.number) : 'Somebody deleted');
}

function phoneName(phone: RungPhone, names: Names): string {
  const name = targetName(phone, names);
  return phone.type === 'person' && phone.number ? `${name} on ${showPhoneNumber(phone.number)}` : name;
}

const endWords: Readonly<Record<EndReason, string>> = {
  callerHungUp: 'You hung up',
  staffHungUp: 'The other side hung up',
  hungUp: 'The line hung up',
  messageTaken: 'Message taken; the line hung up',
  handedOver: 'The call has left the line',
  blocked: 'Blocked; the line hung up',
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
      if (source.slot.type === 'named') return `/script/${source.slot.pathId}`;
      return sheetId ? `/script/${sheetId}${key}` : '/hours';
    }
    case 'box':
      return '/directory/boxes';
    case 'line':
      return '/script';
  }
}
