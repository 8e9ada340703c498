import type { DirectTo, EndReason, NotAnswered, RungPhone, Target, TranscriptEntry } from '@locutor/core/call';
import type { GroupId } from '@locutor/core/directory';
import { showPhoneNumber } from '@locutor/core/directory';
import type { Names } from '@locutor/core/line';
import type { Source } from '@locutor/core/speech';
import { showLength } from '../parts/time';
import { slotLink } from '../path/slotLink';

/** What the caller does, told to them on the handset, or about them in the call log. */
const callerWords = {
  you: { press: 'You press', say: 'You say', hungUp: 'You hung up', recording: 'Recording your message' },
  log: {
    press: 'The caller presses',
    say: 'The caller says',
    hungUp: 'The caller hung up',
    recording: 'A message is recorded',
  },
} as const;

/** What happened besides what was said, in words; null for what needs none. */
export function captionOf(entry: TranscriptEntry, names: Names, to: keyof typeof callerWords = 'you'): string | null {
  const caller = callerWords[to];
  switch (entry.type) {
    case 'key':
      if (entry.use === 'ignored') return `${caller.press} ${entry.key}; keys do nothing here`;
      if (entry.use === 'digit') return `${caller.press} ${entry.key} …`;
      return entry.use === 'wrong'
        ? `${caller.press} ${entry.key}, which has no use here`
        : `${caller.press} ${entry.key}`;
    case 'silence':
      return 'No key was pressed';
    case 'ringing':
      return `Ringing ${phoneName(entry.phone, names)}${entry.forMs === null ? '' : ` for up to ${Math.round(entry.forMs / 1000)} s`}`;
    case 'rang':
      return `${phoneName(entry.phone, names)} ${entry.why === 'declined' ? 'declines' : 'does not pick up'}`;
    case 'askedToAccept':
      return `${phoneName(entry.phone, names)} picked up and is asked to press 1`;
    case 'answered':
      return `${phoneName(entry.phone, names)} answers`;
    case 'notAnswered':
      return notAnsweredWords[entry.why](targetName(entry.target, names));
    case 'handingOver':
      return `Handing the call over to ${targetName(entry.target, names)}`;
    case 'handedOver':
      return `Handed over to ${targetName(entry.target, names)}`;
    case 'spoke':
      return entry.understood
        ? `${caller.say} “${entry.words}”`
        : `${caller.say} “${entry.words}”, which is not understood`;
    case 'dialledExtension':
      return entry.to
        ? `Extension ${entry.digits} is ${names[entry.to] ?? 'somebody deleted'}`
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
      return `Beep. ${caller.recording}`;
    case 'message':
      return entry.kept
        ? `Message of ${showLength(entry.lengthMs)} left in ${names[entry.boxId] ?? 'a box'}`
        : 'Too short to be a message; not kept';
    case 'ended':
      return entry.reason === 'callerHungUp' ? caller.hungUp : endWords[entry.reason];
    case 'calledDirectly':
      return `Called ${directName(entry.to, names)} directly`;
    case 'ringingGroup':
      return `Ringing the group ${names[entry.groupId] ?? 'that was deleted'}`;
    case 'queued':
      return `Waiting in ${names[entry.queueId] ?? 'a queue'}`;
    case 'place':
      return `Number ${entry.place} in line`;
    case 'leftQueue':
      return leftQueueWords[entry.why](names[entry.queueId] ?? 'the queue', showLength(entry.waitedMs));
    case 'held':
      return entry.on ? 'Put on hold' : 'Taken back from hold';
    case 'transferred':
      return entry.by
        ? `${names[entry.by] ?? 'A colleague'} transferred the call to ${directName(entry.to, names)}`
        : `Transferred to ${directName(entry.to, names)}`;
    case 'pin':
      if (entry.right) return `The PIN of ${names[entry.boxId] ?? 'the box'} is right`;
      return entry.pausedMs
        ? `Too many wrong PINs of ${names[entry.boxId] ?? 'the box'}: none is tried for ${showLength(entry.pausedMs)}`
        : 'That is not the PIN';
    case 'heardMessage':
      return entry.deleted ? 'The message was deleted' : 'The message was heard';
    case 'greetingRecorded':
      return `${entry.name}: ${entry.kept ? `a recording of ${showLength(entry.lengthMs)} was kept` : 'the recording was not kept'}`;
    case 'called':
    case 'sheet':
    case 'said':
      return null;
  }
}

const leftQueueWords: Readonly<
  Record<Extract<TranscriptEntry, { type: 'leftQueue' }>['why'], (queue: string, waited: string) => string>
> = {
  full: (queue) => `${queue} is full`,
  tooLong: (_, waited) => `Waited ${waited}, as long as it may be`,
  nobodyWorking: (queue) => `Nobody is working in ${queue}`,
  closed: (queue) => `${queue} is closed now`,
  special: (queue) => `${queue} is closed for a special date`,
  exitKey: (queue) => `Left ${queue}`,
  answered: (_, waited) => `Waited ${waited}`,
  hungUp: (_, waited) => `Hung up after waiting ${waited}`,
};

const notAnsweredWords: Readonly<Record<NotAnswered, (name: string) => string>> = {
  noAnswer: (name) => `${name} does not answer`,
  busy: (name) => `${name} is busy`,
  away: (name) => `${name} is away`,
  nobody: (name) => `${name} has no members`,
  deleted: (name) => `${name} cannot be rung`,
  notWorking: (name) => `${name} is not working now`,
  closed: (name) => `${name} is closed now`,
  onCallOnly: (name) => `${name} has only phones for when they are on call`,
  notAccepted: (name) => `${name} did not press 1`,
  notANumber: () => 'That is no telephone number; it is passed over',
  ownNumber: () => 'That is the line’s own number; it is passed over',
  notAllowed: (name) => `${name} is of a kind or country that Settings do not allow; it is passed over`,
  noLineFree: () => 'As many outside phones are on the line as may be at once',
  noSuchNumber: (name) => `${name}: there is no such number`,
  failed: (name) => `${name} could not be reached`,
  outOfService: (name) => `${name} is not in service today`,
};

/** What whoever is rung is called. */
export function targetName(target: Target | { type: 'group'; groupId: GroupId }, names: Names): string {
  if (target.type === 'group') return names[target.groupId] ?? 'A deleted group';
  if (target.type === 'person') return names[target.personId] ?? 'Somebody deleted';
  const name = target.contactId && names[target.contactId];
  return name || (target.number ? showPhoneNumber(target.number) : 'Somebody deleted');
}

const somebodyDeleted = 'somebody deleted';

function directName(to: DirectTo, names: Names): string {
  switch (to.type) {
    case 'recorder':
      return `the recorder for ${to.of.name}`;
    case 'person':
    case 'colleague':
      return names[to.personId] ?? somebodyDeleted;
    case 'group':
      return names[to.groupId] ?? somebodyDeleted;
    case 'queue':
      return names[to.queueId] ?? somebodyDeleted;
    case 'box':
      return names[to.boxId] ?? somebodyDeleted;
  }
}

function phoneName(phone: RungPhone, names: Names): string {
  const name = targetName(phone, names);
  return phone.type === 'person' && phone.number ? `${name} on ${showPhoneNumber(phone.number)}` : name;
}

const endWords: Readonly<Record<Exclude<EndReason, 'callerHungUp'>, string>> = {
  staffHungUp: 'The other side hung up',
  hungUp: 'The line hung up',
  messageTaken: 'Message taken; the line hung up',
  handedOver: 'The call has left the line',
  blocked: 'Blocked; the line hung up',
  pathRanOut: 'The path has no further step; the line hung up',
  circle: 'The menus go round in a circle; the line hung up',
  boxHeard: 'All messages were heard',
  wrongPin: 'The PIN was wrong; the line hung up',
  recorderDone: 'The recorder hung up',
  cut: 'The call was cut off',
  longestCall: 'The longest call is over; the line hung up',
};

/** The address of the place where something spoken was written. */
export function linkOf(source: Source): string {
  switch (source.type) {
    case 'words':
      return `/script/${source.sheetId}`;
    case 'option':
      return `/script/${source.sheetId}?key=${encodeURIComponent(source.key)}`;
    case 'step':
      return slotLink(source.slot);
    case 'group':
      return `/directory/groups/${source.groupId}`;
    case 'queue':
      return '/directory/queues';
    case 'box':
      return '/directory/boxes';
    case 'line':
      return '/script';
  }
}
