import { takeId, type Key } from '../line';
import { answering, message, noor, priya, wendell } from '../testing/boatyard';
import { Office } from '../testing/office';
import { membersOf } from '../testing/office';
import { moorings } from '../testing/boatyard';
import { deskView } from './deskView';
import { callId } from './state';

const own = callId.create('recorder');
const of = { name: 'Storm', words: 'We are closed because of the storm.' };
const finished = { takeId: takeId.create('first'), audioId: 'spoken', lengthMs: 4000 };

let office: Office;
beforeEach(() => {
  office = new Office(answering(message, { groups: [{ ...moorings, members: membersOf(noor) }] }));
});

const ask = (): void => office.do({ type: 'takeAsked', personId: noor.id, callId: own, script: office.world, of });
const press = (...keys: readonly Key[]): void =>
  keys.forEach((key) => office.do({ type: 'staffPresses', personId: noor.id, key }));
const doing = () => deskView(office.world, office.exchange, noor.id, () => null).doing;
const effects = () => office.effects.flatMap((effect) => (effect.type === 'forCall' ? [effect.effect] : []));
const settled = () => effects().flatMap((effect) => (effect.type === 'settleTake' ? [effect] : []));
const said = () => office.transcript(own).flatMap((entry) => (entry.type === 'said' ? [entry.text] : []));
/** Lets them hear what is said until something is waited for. */
const listen = (until: string): void => {
  for (let seconds = 0; office.phase(own) !== until && seconds < 60; seconds += 1) office.pass(1);
  expect(office.phase(own)).toBe(until);
};
/** They speak, and what they said was made good. */
const speak = (take: typeof finished | null): void => {
  listen('takeRecording');
  office.pass(4);
  press('#');
  const start = effects().findLast((effect) => effect.type === 'finishTake');
  office.tell(own, { type: 'takeFinished', recordingId: start?.type === 'finishTake' ? start.recordingId : 0, take });
};

describe('recording with a desk phone', () => {
  it('rings, says how, records after the tone, and keeps it with 1', () => {
    ask();
    expect(doing()).toMatchObject({ type: 'rungForTake', of });
    office.answer(noor);
    expect(said()).toEqual(['You can now record: Storm.', 'Speak after the tone, then press pound.']);
    expect(doing()).toMatchObject({ type: 'calling', take: of });
    speak(finished);
    expect(said().slice(2)).toEqual(['To keep it, press 1.', 'To hear it, press 2.', 'To record it again, press 3.']);
    press('1');
    expect(settled()).toEqual([{ type: 'settleTake', takeId: finished.takeId, keep: true }]);
    listen('ended');
    expect(office.transcript(own).at(-1)).toMatchObject({ reason: 'recorderDone' });
    expect(office.doing(noor).type).toBe('nothing');
  });

  it('goes on with what comes next on the same call once one is kept, and tells the phone what that is', () => {
    const then = { name: 'Snow', words: 'We are closed because of the snow.' };
    office.do({ type: 'takeAsked', personId: noor.id, callId: own, script: office.world, of: { ...of, then } });
    expect(doing()).toMatchObject({ type: 'rungForTake', of });
    office.answer(noor);
    speak(finished);
    press('1');
    expect(said().slice(-3)).toEqual(['Kept.', 'Next: Snow.', 'Speak after the tone, then press pound.']);
    expect(doing()).toMatchObject({ type: 'calling', take: then });
    const second = { ...finished, takeId: takeId.create('second') };
    speak(second);
    press('3');
    speak(second);
    press('1');
    listen('ended');
    expect(settled().map((each) => [each.takeId, each.keep])).toEqual([
      [finished.takeId, true],
      [second.takeId, false],
      [second.takeId, true],
    ]);
  });

  it('plays it with 2, and records again with 3, after the tone alone', () => {
    ask();
    office.answer(noor);
    speak(finished);
    press('2');
    const played = effects().findLast((effect) => effect.type === 'play');
    expect(played).toMatchObject({ items: expect.arrayContaining([{ type: 'audio', audioId: 'spoken', ms: 4000 }]) });
    listen('takeWaiting');
    press('3');
    expect(settled()).toEqual([{ type: 'settleTake', takeId: finished.takeId, keep: false }]);
    const again = { ...finished, takeId: takeId.create('second') };
    speak(again);
    press('9', '1');
    expect(settled()).toContainEqual({ type: 'settleTake', takeId: again.takeId, keep: true });
  });

  it('asks again where nothing was heard', () => {
    ask();
    office.answer(noor);
    speak(null);
    expect(said()).toContain('Nothing was heard.');
    speak(finished);
    expect(office.phase(own)).toBe('takeAsking');
  });

  it('does not keep what nobody said to keep: after three rounds, or when it is hung up', () => {
    ask();
    office.answer(noor);
    speak(finished);
    listen('ended');
    expect(said().filter((words) => words === 'To keep it, press 1.')).toHaveLength(3);
    expect(said()).toContain('It was not kept.');
    expect(settled()).toEqual([{ type: 'settleTake', takeId: finished.takeId, keep: false }]);
  });

  it.each([
    ['while it is said how', 'takeSpeaking', []],
    ['while they speak', 'takeRecording', [{ type: 'stopTake', recordingId: expect.any(Number) }]],
  ] as const)('ends cleanly when it is hung up %s', (_, phase, does) => {
    ask();
    office.answer(noor);
    listen(phase);
    office.hangUp(noor);
    expect(office.exchange.calls.size).toBe(0);
    expect(office.doing(noor).type).toBe('nothing');
    expect(effects().filter(({ type }) => type === 'stopTake')).toEqual(does);
  });

  it('ends by itself after five minutes of speaking', () => {
    ask();
    office.answer(noor);
    listen('takeRecording');
    office.pass(301);
    expect(office.phase(own)).toBe('takeFinishing');
  });

  it.each([
    ['is declined', () => office.decline(noor)],
    ['is not answered', () => office.pass(31)],
  ])('is told when the phone %s, and the phone is free again', (_, act) => {
    ask();
    act();
    expect(office.effects).toContainEqual({ type: 'takeUnanswered', callId: own, why: 'noAnswer' });
    expect(office.doing(noor).type).toBe('nothing');
  });

  it('does not ring a phone that is in use, and a phone that rings for it is not rung by others', () => {
    ask();
    const other = callId.create('other');
    office.do({ type: 'takeAsked', personId: noor.id, callId: other, script: office.world, of });
    expect(office.effects).toContainEqual({ type: 'takeUnanswered', callId: other, why: 'inUse' });
    office.do({
      type: 'staffDials',
      personId: wendell.id,
      digits: noor.extension,
      callId: other,
      script: office.world,
    });
    expect(office.transcript(other)).toContainEqual(expect.objectContaining({ type: 'notAnswered', why: 'busy' }));
    expect(office.doing(priya).type).toBe('nothing');
  });

  it('is given up by whoever asked: the phone stops ringing, or the call is over', () => {
    ask();
    office.do({ type: 'takeGivenUp', personId: noor.id, callId: own });
    expect(office.rung()).toEqual([]);
    ask();
    office.answer(noor);
    office.do({ type: 'takeGivenUp', personId: noor.id, callId: own });
    expect(office.exchange.calls.size).toBe(0);
  });
});
