import { showPhoneNumber } from '../../directory';
import { findSheet, type Attendant, type Names } from '../../line';
import { describeEnd, describeStretch, type Way } from '../../paths';

/** What should be heard when the line answers. */
export function beginHeard(words: string): string {
  return words ? `You should hear: “${words}”` : 'It should ring through.';
}

export function ringNumber(number: string): string {
  return `Ring ${showPhoneNumber(number)}.`;
}

/** Keys one after the other: "Press 2, then 1." */
export function keysToPress(keys: readonly string[]): string {
  return keys.length === 1 && keys[0] === 'nothing' ? 'Press nothing.' : `Press ${keys.join(', then ')}.`;
}

/** What should happen on a way: whose phones ring, what is heard, where it ends. */
export function endHeard(way: Way, attendant: Attendant, names: Names): string {
  const heard = way.stretches.find(({ type }) => type === 'words');
  const rung = way.stretches.filter(({ type }) => type === 'ring' || type === 'queue');
  const sentences: string[] = [];
  const [first] = rung;
  if (heard?.type === 'words' && !first) sentences.push(`You should hear: “${heard.text}”`);
  if (first?.type === 'queue') sentences.push(`You should wait in ${names[first.queueId] ?? 'a queue'}.`);
  else if (first) {
    const who = [...new Set(rung.filter(({ type }) => type === 'ring').map((each) => describeStretch(each, names)))];
    sentences.push(`The phones of ${who.join(', then ')} should ring.`);
  }
  const { end } = way;
  if (end.type === 'menu' || end.type === 'again') {
    sentences.push(`You should come to ${findSheet(attendant, end.sheetId)?.name ?? 'a menu'}.`);
  } else if (end.type === 'message') {
    const box = names[end.boxId] ?? 'a box';
    sentences.push(
      first ? `If nobody answers, a message for ${box} is taken.` : `A message for ${box} should be taken.`,
    );
  } else if (end.type === 'hungUp') sentences.push('The line should hang up.');
  else if (!first) sentences.push(`It should be ${describeEnd(end, attendant, names)}.`);
  return sentences.join(' ');
}
