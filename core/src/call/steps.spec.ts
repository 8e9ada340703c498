import { personId, type Person } from '../directory';
import { hoursId, instantOf, type Hours } from '../hours';
import {
  answering,
  attendant,
  closedId,
  closedMoment,
  everybody,
  fuelId,
  harbourMaster,
  hours,
  juno,
  junosBox,
  line,
  mainLine,
  message,
  moorings,
  names,
  noor,
  nuisance,
  office,
  open,
  openMoment,
  priya,
  ringFor,
  script,
  shedLine,
  slipHolders,
  wendell,
  welcomeId,
  withAttendant,
} from '../testing/boatyard';
import {
  greetingId,
  namedPathId,
  newMenu,
  ringDefaults,
  sheetId,
  type Attendant,
  type Key,
  type Menu,
  type Path,
} from '../line';
import { idleCall, step, type CallEffect, type CallEvent } from '.';
import type { RungPhone } from './target';
import type { CallScript } from './script';
import { runTrial, type CallerAct, type StaffAct, type Trial } from '../exchange';
import type { TranscriptEntry } from './transcript';

const quiet: Trial = {
  atMs: openMoment,
  callerNumber: '+12075550178',
  caller: [],
  staff: () => ({ type: 'noAnswer' }),
};
const answers: StaffAct = { type: 'answer', afterMs: 2000, talkMs: 30_000 };

/** A call told in a few words a line: who rang, what was said, where it ended. */
function story(by: CallScript, trial: Partial<Trial> = {}): readonly string[] {
  return runTrial(by, { ...quiet, ...trial }).transcript.flatMap((entry) => tell(entry) ?? []);
}

function tell(entry: TranscriptEntry): string | undefined {
  switch (entry.type) {
    case 'said':
      return `“${entry.text}”`;
    case 'ringing':
      return `${phoneName(entry.phone)} rings${entry.forMs === null ? '' : ` ${entry.forMs / 1000} s`}`;
    case 'answered':
      return `${phoneName(entry.phone)} answers`;
    case 'askedToAccept':
      return 'asked to press 1';
    case 'notAnswered':
      return `not answered: ${entry.why}`;
    case 'handingOver':
      return 'handing over';
    case 'handedOver':
      return `handed over to ${entry.target.number}`;
    case 'callRecording':
      return entry.on ? 'recording' : 'not recording';
    case 'message':
      return `message in ${names[entry.boxId] ?? ''}`;
    case 'sheet':
      return `on ${entry.sheetId}`;
    case 'line':
      return `with ${entry.lineId}`;
    case 'ended':
      return entry.reason;
    default:
      return undefined;
  }
}

function phoneName(phone: RungPhone): string {
  if (phone.type === 'outside') return phone.number;
  return `${names[phone.personId]?.split(' ')[0] ?? ''}’s ${phone.number ?? 'desk'}`;
}

const keysAt = (...presses: readonly (readonly [number, Key])[]): CallerAct[] =>
  presses.map(([afterMs, key]) => ({ type: 'press', key, afterMs }));
const type = (fromMs: number, digits: string): CallerAct[] =>
  keysAt(...[...digits].map((key, index) => [fromMs + index * 300, key as Key] as const));
const hangUpAt = (afterMs: number): CallerAct => ({ type: 'hangUp', afterMs });
const bye: Path = [{ type: 'hangUp', words: 'Bye.' }];
const outside = (number: string, accept = false): Path[number] => ({
  ...ringDefaults,
  type: 'ringOutside',
  to: { type: 'number', number },
  accept,
});

describe('ringing a person', () => {
  it('rings the operator of the line, a person or a group; where nobody is named the path goes on', () => {
    const path: Path = [{ ...ringDefaults, type: 'ringOperator' }, ...message];
    const withOperator = (operatorId: CallScript['lines'][number]['operatorId']): readonly string[] => {
      const by = answering(path, { groups: [moorings] });
      const lines = by.lines.map((each) => ({ ...each, operatorId }));
      return runTrial({ ...by, lines }, quiet).transcript.flatMap((entry) =>
        entry.type === 'ringing' ? [phoneName(entry.phone)] : entry.type === 'recording' ? ['message'] : [],
      );
    };
    expect(withOperator(noor.id)).toEqual(['Noor’s desk', 'message']);
    expect(withOperator(moorings.id).slice(0, 2)).toEqual(['Priya’s desk', 'Wendell’s desk']);
    expect(withOperator(null)).toEqual(['message']);
    expect(withOperator(personId.create('gone'))).toEqual(['message']);
  });

  it('rings phones for on call only where the step says so', () => {
    const mobile = { type: 'outside', number: '+12075550191', seconds: 12, accept: false, onCallOnly: true } as const;
    const both = { ...noor, phones: [{ type: 'desk', seconds: 12 }, mobile] } as const;
    const step = (onCall: boolean): Path => [{ ...ringDefaults, type: 'ring', personId: noor.id, seconds: 24, onCall }];
    const rings = (people: CallScript['people'], onCall: boolean) =>
      story(answering(step(onCall), { people })).filter((line) => !line.startsWith('“'));
    expect(rings([both], false).slice(0, 2)).toEqual(['Noor’s desk rings 24 s', 'not answered: noAnswer']);
    expect(rings([both], true).slice(0, 2)).toEqual(['Noor’s desk rings 12 s', 'Noor’s +12075550191 rings 12 s']);
    expect(rings([{ ...both, phones: [mobile] }], false)[0]).toBe('not answered: onCallOnly');
  });

  it('rings a phone that has hours of its own only in these, and to its end those that began to ring in them', () => {
    const evenings: Hours = {
      ...hours,
      id: hoursId.create('evenings'),
      week: ([1, 2, 3, 4, 5] as const).map((day) => ({ periodId: open.id, day, startMin: 1020, endMin: 1320 })),
    };
    const mobile = {
      type: 'outside',
      number: '+12075550191',
      seconds: 12,
      accept: false,
      hoursId: evenings.id,
    } as const;
    const path: Path = [{ ...ringDefaults, type: 'ring', personId: noor.id, seconds: 24 }];
    const rings = (phones: Person['phones'], at: string) => {
      const by = answering(path, { people: [{ ...noor, phones }], hours: [evenings] });
      return story(by, { atMs: instantOf(at, 'America/New_York') }).filter((each) => !each.startsWith('“'));
    };
    const desk = { type: 'desk', seconds: 12 } as const;
    expect(rings([desk, mobile], '2026-11-23T12:00')).toEqual([
      'Noor’s desk rings 24 s',
      'not answered: noAnswer',
      'pathRanOut',
    ]);
    const both = ['Noor’s desk rings 12 s', 'Noor’s +12075550191 rings 12 s', 'not answered: noAnswer', 'pathRanOut'];
    expect(rings([desk, mobile], '2026-11-23T18:00')).toEqual(both);
    // Five seconds before the evening is over.
    expect(rings([desk, mobile], '2026-11-23T21:59:55')).toEqual(both);
    expect(rings([mobile], '2026-11-23T12:00')).toEqual(['not answered: notWorking', 'pathRanOut']);
    expect(rings([desk, mobile], '2026-11-22T18:00')).toEqual([
      'Noor’s desk rings 24 s',
      'not answered: noAnswer',
      'pathRanOut',
    ]);
  });

  it('rings their phones in order, the last one until the seconds are over', () => {
    expect(story(answering([ringFor(juno.id, 24), ...bye]))).toEqual([
      'Juno’s desk rings 10 s',
      'Juno’s +12075550161 rings 14 s',
      'not answered: noAnswer',
      '“Bye.”',
      'hungUp',
    ]);
    expect(story(answering([ringFor(juno.id, 8), ...bye]))[0]).toBe('Juno’s desk rings 8 s');
  });

  it('tries the next phone at once when one is busy', () => {
    const staff = (phone: RungPhone): StaffAct =>
      phone.type === 'person' && phone.number === null ? { type: 'busy' } : answers;
    expect(story(answering([ringFor(juno.id, 24), ...bye]), { staff })).toEqual([
      'Juno’s desk rings 10 s',
      'Juno’s +12075550161 rings 24 s',
      'asked to press 1',
      'Juno’s +12075550161 answers',
      'staffHungUp',
    ]);
  });

  it('does not let a mobile’s voicemail swallow the call', () => {
    const staff = (phone: RungPhone): StaffAct =>
      phone.type === 'person' && phone.number ? { type: 'voicemail', afterMs: 5000 } : { type: 'noAnswer' };
    expect(story(answering([ringFor(juno.id, 40), ...bye]), { staff })).toEqual([
      'Juno’s desk rings 10 s',
      'Juno’s +12075550161 rings 30 s',
      'asked to press 1',
      'not answered: notAccepted',
      '“Bye.”',
      'hungUp',
    ]);
  });

  it('rings for ever with no limit, so that no later step runs', () => {
    expect(story(answering([ringFor(noor.id, null), ...bye]))).toEqual(['Noor’s desk rings', 'longestCall']);
  });

  it('goes past somebody who is not working, without the words before', () => {
    const step = { ...ringFor(noor.id, 24), before: 'One moment.' } as Path[number];
    const by = answering([step, ...bye], { people: [{ ...noor, hoursId: hours.id }], hours: [hours] });
    expect(story(by, { atMs: closedMoment })).toEqual(['not answered: notWorking', '“Bye.”', 'hungUp']);
    expect(story(by).slice(0, 2)).toEqual(['“One moment.”', 'Noor’s desk rings 24 s']);
  });

  it('lets the caller hear a greeting of the library over and over while it rings', () => {
    const waiting = {
      id: greetingId.create('waiting'),
      name: 'Waiting',
      words: 'The tide is in.',
      voice: 'slt' as const,
      take: null,
    };
    const step = { ...ringFor(noor.id, 24), hear: { type: 'greeting', greetingId: waiting.id } } as Path[number];
    const { effects } = runTrial(answering([step, ...bye], { greetings: [waiting] }), quiet);
    const rung = effects.find((effect) => effect.type === 'ring');
    expect(rung?.hear).toMatchObject([{ type: 'sentence', sentence: { text: 'The tide is in.' } }]);
    expect(runTrial(answering([step]), quiet).effects.find((effect) => effect.type === 'ring')?.hear).toEqual([]);
  });
});

describe('outside numbers', () => {
  it.each<[string, Path[number], readonly string[]]>([
    ['is rung', outside('(207) 555-0161'), ['+12075550161 rings 24 s', 'not answered: noAnswer']],
    ['that is none is passed', outside('soon'), ['not answered: notANumber']],
    ['that is the line’s own is passed', outside('+1 207 555 0140'), ['not answered: ownNumber']],
  ])('one that %s', (_what, step, heard) => {
    expect(story(answering([step, ...bye]))).toEqual([...heard, '“Bye.”', 'hungUp']);
  });

  it('connect once the one who answers has pressed 1, where that is asked', () => {
    expect(story(answering([outside('+12075550161', true)]), { staff: () => answers })).toEqual([
      '+12075550161 rings 24 s',
      'asked to press 1',
      '+12075550161 answers',
      'staffHungUp',
    ]);
  });

  describe('that the call is handed over to', () => {
    const to = { type: 'contact', contactId: harbourMaster.id } as const;
    const by = answering([{ type: 'handOver', to, before: 'Please hold.' }, ...bye], { contacts: [harbourMaster] });
    const over = { staff: () => answers };

    it('take it for good, with words before', () => {
      const [words, ...rest] = story(by, over);
      expect(words).toBe('“Please hold.”');
      expect(rest).toEqual(['handing over', 'handed over to +12075550190', 'handedOver']);
    });

    it.each<[string, StaffAct, string]>([
      ['are busy', { type: 'busy' }, 'busy'],
      ['do not answer', { type: 'noAnswer' }, 'noAnswer'],
    ])('lead on with the path when they %s', (_what, act, why) => {
      expect(story(by, { staff: () => act }).slice(1)).toEqual([
        'handing over',
        `not answered: ${why}`,
        '“Bye.”',
        'hungUp',
      ]);
    });

    it('lead on when there is no such number, and a late answer changes nothing', () => {
      let state = idleCall;
      const happen = (event: CallEvent): readonly CallEffect[] => {
        const result = step(by, state, event);
        state = result.state;
        return result.effects;
      };
      const atMs = openMoment;
      happen({ type: 'dialled', atMs, callerNumber: '' });
      if (state.phase.type === 'saying') happen({ type: 'playEnded', atMs, playId: state.phase.playId });
      const handOverId = state.phase.type === 'handingOver' ? state.phase.handOverId : 0;
      expect(happen({ type: 'handOverFailed', atMs, handOverId: handOverId + 1, why: 'busy' })).toEqual([]);
      const effects = happen({ type: 'handOverFailed', atMs, handOverId, why: 'noSuchNumber' });
      expect(effects).toContainEqual({ type: 'stopHandOver', handOverId });
      expect(state.phase.type).toBe('saying');
      expect(happen({ type: 'handedOver', atMs, handOverId })).toEqual([]);
    });

    it('are let go when the caller hangs up meanwhile', () => {
      const { effects, transcript } = runTrial(by, { ...quiet, caller: [hangUpAt(20_000)] });
      expect(effects.map((effect) => effect.type)).toContain('stopHandOver');
      expect(transcript.at(-1)).toMatchObject({ type: 'ended', reason: 'callerHungUp' });
    });

    it('are passed where they cannot be called', () => {
      const gone = { ...harbourMaster, serviceUntil: '2026-11-22' };
      expect(story({ ...by, contacts: [gone] }, over)[0]).toBe('not answered: outOfService');
      expect(story({ ...by, contacts: [] }, over)[0]).toBe('not answered: deleted');
      const lastDay = { ...harbourMaster, serviceUntil: '2026-11-23' };
      expect(story({ ...by, contacts: [lastDay] }, over).at(-1)).toBe('handedOver');
      const atHome = { ...by.outgoing, countries: ['CA' as const] };
      expect(story({ ...by, outgoing: atHome }, over)[0]).toBe('not answered: notAllowed');
    });
  });
});

describe('messages', () => {
  it('are taken with a beep or without, as the step or the box says', () => {
    const beeps = (beep: boolean | null, boxBeeps: boolean): boolean => {
      const by = answering([{ type: 'takeMessage', boxId: office.id, beep, tell: null }]);
      const { effects } = runTrial({ ...by, boxes: [{ ...office, beep: boxBeeps }] }, quiet);
      return effects.some((effect) => effect.type === 'play' && effect.items.some((item) => item.type === 'beep'));
    };
    expect([beeps(null, true), beeps(null, false), beeps(true, false), beeps(false, true)]).toEqual([
      true,
      false,
      true,
      false,
    ]);
  });

  it('tell whom the step names, else whom the box names', () => {
    const told = [{ personId: noor.id, by: 'text' as const }];
    const kept = (tell: typeof told | null) =>
      runTrial(
        {
          ...answering([{ type: 'takeMessage', boxId: office.id, beep: null, tell }]),
          boxes: [{ ...office, tell: told }],
        },
        quiet,
      ).effects.find((effect) => effect.type === 'stopRecording');
    expect(kept(null)).toMatchObject({ keepIn: office.id, tell: told });
    expect(kept([])).toMatchObject({ keepIn: office.id, tell: [] });
  });
});

describe('paths with a name of their own', () => {
  const desk = namedPathId.create('desk');
  const withPath = (steps: Path, otherwise: Path): CallScript => {
    const by = answering(otherwise);
    const [first] = by.lines;
    return withAttendant({ ...(first ?? line).attendant, paths: [{ id: desk, name: 'Desk', steps }] }, by);
  };
  const follow: Path[number] = { type: 'followPath', pathId: desk };

  it('are taken in their place, and then the path goes on', () => {
    expect(story(withPath([ringFor(noor.id, 12)], [follow, follow, ...bye]))).toEqual([
      'Noor’s desk rings 12 s',
      'not answered: noAnswer',
      'Noor’s desk rings 12 s',
      'not answered: noAnswer',
      '“Bye.”',
      'hungUp',
    ]);
  });

  it('end the path where they end', () => {
    expect(story(withPath(bye, [follow, ...message]))).toEqual(['“Bye.”', 'hungUp']);
  });

  it('that follow themselves let the caller go', () => {
    expect(story(withPath([follow], [follow])).at(-1)).toBe('circle');
  });
});

describe('going back', () => {
  const inner: Menu = {
    ...newMenu(sheetId.create('inner'), 'Inner'),
    openingWords: 'Inner.',
    options: [
      { key: '1', label: '', readOut: false, path: [{ type: 'goTo', sheetId: fuelId }] },
      { key: '*', label: '', readOut: false, path: [{ type: 'back' }] },
    ],
  };
  const [welcome, fuel, closed] = attendant.sheets;
  const options = [{ key: '5', label: '', readOut: false, path: [{ type: 'goTo', sheetId: inner.id }] }];
  const by = withAttendant({
    ...attendant,
    sheets: [
      { ...welcome, options },
      { ...fuel, afterPath: [{ type: 'back' }] },
      inner,
      { ...closed, options: [{ key: '*', label: '', readOut: false, path: [{ type: 'back' }] }] },
    ] as Attendant['sheets'],
  });

  it('leads from a menu to the one before it, from an announcement to the menu it was reached from', () => {
    const caller = [...keysAt([500, '5'], [1000, '1'], [6000, '*']), hangUpAt(7000)];
    const sheets = story(by, { caller }).filter((each) => each.startsWith('on '));
    expect(sheets).toEqual([`on ${welcomeId}`, `on ${inner.id}`, `on ${fuelId}`, `on ${inner.id}`, `on ${welcomeId}`]);
  });

  it('leads to the beginning of the menu itself where there is none before, and goes on outside of menus', () => {
    const caller = [...keysAt([500, '*']), hangUpAt(1000)];
    const sheets = story(by, { caller, atMs: closedMoment }).filter((each) => each.startsWith('on '));
    expect(sheets).toEqual([`on ${closedId}`, `on ${closedId}`]);
    expect(story(answering([{ type: 'back' }, ...bye]))).toEqual(['“Bye.”', 'hungUp']);
  });
});

describe('extensions dialled in a menu', () => {
  const [welcome, ...others] = attendant.sheets;
  const dialling = (changes: Partial<Menu> = {}): CallScript => ({
    ...withAttendant({
      ...attendant,
      sheets: [{ ...welcome, extensions: { waitSeconds: 3 }, ...changes }, ...others] as Attendant['sheets'],
    }),
    people: everybody,
    boxes: [office, junosBox],
  });
  const ringsIn = (by: CallScript, caller: CallerAct[]) => story(by, { caller }).filter((each) => / rings /.test(each));

  it('ring at the last digit, without a wait, when no longer one begins so', () => {
    const { transcript } = runTrial(dialling(), { ...quiet, caller: type(1000, '204') });
    expect(transcript).toContainEqual(
      expect.objectContaining({ type: 'ringing', atMs: openMoment + 1600, forMs: 24_000 }),
    );
    expect(ringsIn(dialling(), type(1000, '204'))[0]).toBe('Priya’s desk rings 24 s');
  });

  it('make a key that is also their first digit wait, and no other key', () => {
    const noteOf = (caller: CallerAct[]) =>
      runTrial(dialling(), { ...quiet, caller }).transcript.find(
        (entry) => entry.type === 'key' && entry.use === 'option',
      );
    expect(noteOf(keysAt([1000, '2']))?.atMs).toBe(openMoment + 4000);
    expect(noteOf(keysAt([1000, '2'], [1500, '#']))?.atMs).toBe(openMoment + 1500);
    expect(noteOf(keysAt([1000, '1']))?.atMs).toBe(openMoment + 1000);
  });

  it('that nobody has are a wrong key', () => {
    const { transcript } = runTrial(dialling(), { ...quiet, caller: [...type(1000, '239'), hangUpAt(3000)] });
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'dialledExtension', digits: '239', to: null }));
    expect(transcript).toContainEqual(expect.objectContaining({ text: 'Sorry, that key has no use here.' }));
  });

  it('are taken as soon as they can mean nothing else', () => {
    const noted = (digits: string) =>
      runTrial(dialling(), { ...quiet, caller: [...type(1000, digits), hangUpAt(9000)] }).transcript.find(
        ({ type: kind }) => kind === 'dialledExtension',
      );
    // The second digit, 300 ms later, already begins no extension.
    expect(noted('29')).toMatchObject({ digits: '29', to: null, atMs: openMoment + 1300 });
    expect(noted('204')).toMatchObject({ digits: '204', atMs: openMoment + 1600 });
  });

  it('lead to the person’s own box when they do not answer, else back to the menu', () => {
    expect(story(dialling(), { caller: type(1000, '206') })).toContain(
      'message in Juno Marchetti'.replace(' Marchetti', ''),
    );
    const back = story(dialling(), { caller: [...type(1000, '204'), hangUpAt(40_000)] });
    expect(back).toContain('“Priya Castellanos does not answer just now.”');
    expect(back.filter((each) => each === `on ${welcomeId}`)).toHaveLength(2);
  });

  it('may be of different lengths: the shorter one waits', () => {
    const longer = { ...dialling(), people: [...everybody, { ...wendell, extension: '2045' }] };
    expect(ringsIn(longer, type(1000, '2045'))[0]).toBe('Wendell’s desk rings 24 s');
    expect(ringsIn(longer, type(1000, '204#'))[0]).toBe('Priya’s desk rings 24 s');
    expect(ringsIn(longer, type(1000, '204'))[0]).toBe('Priya’s desk rings 24 s');
  });
});

describe('asking for an extension', () => {
  const by = answering([{ type: 'askExtension', seconds: 18 }, ...bye]);

  it('rings it', () => {
    expect(story(by, { caller: type(1000, '205'), staff: () => answers })).toEqual([
      '“Dial the extension, then press pound.”',
      'Wendell’s desk rings 18 s',
      'Wendell’s desk answers',
      'staffHungUp',
    ]);
  });

  it('asks three times, then goes on', () => {
    const said = story(by, { caller: type(500, '999') });
    expect(said.filter((each) => each.includes('Dial the extension'))).toHaveLength(3);
    expect(said.filter((each) => each.includes('no such extension'))).toHaveLength(1);
    expect(said.slice(-2)).toEqual(['“Bye.”', 'hungUp']);
  });

  it('is left with a star', () => {
    expect(story(by, { caller: keysAt([500, '2'], [900, '*']) }).slice(-2)).toEqual(['“Bye.”', 'hungUp']);
  });
});

describe('searching by name', () => {
  const by = answering([{ type: 'searchByName', by: 'lastName', seconds: 18 }, ...bye]);

  it('says who was found and rings them', () => {
    expect(story(by, { caller: type(500, '425'), staff: () => answers }).slice(1)).toEqual([
      '“Noor Haldane.”',
      'Noor’s desk rings 18 s',
      'Noor’s desk answers',
      'staffHungUp',
    ]);
  });

  it('reads several out, to be chosen by key', () => {
    const said = story(by, { caller: [...type(500, '224'), ...keysAt([3000, '2'])], staff: () => answers });
    expect(said.slice(1, 5)).toEqual([
      '“For Wendell Achterberg, press 1.”',
      '“For Rosalind Achterberg, press 2.”',
      'Rosalind’s desk rings 18 s',
      'Rosalind’s desk answers',
    ]);
  });

  it('offers more than eight on key 9', () => {
    const many = Array.from({ length: 11 }, (_, index) => ({
      ...wendell,
      id: `person:w${index}` as typeof wendell.id,
      name: `Will${index} Achterberg`,
    }));
    const said = story({ ...by, people: many }, { caller: [...type(500, '224'), ...keysAt([2000, '9'], [3000, '3'])] });
    expect(said).toContain('“For more names, press 9.”');
    expect(said).toContain('“For Will10 Achterberg, press 3.”');
    expect(said).toContain('’s desk rings 18 s');
  });

  it('finds nobody who was left out, and takes a name that is said', () => {
    const hidden = { ...by, people: everybody.map((person) => ({ ...person, inDirectory: person !== noor })) };
    expect(story(hidden, { caller: type(500, '425') })).toContain('“Sorry, nobody by that name was found.”');
    const spoken = [{ type: 'speak' as const, words: 'Priya Castellanos', afterMs: 800 }];
    expect(story(by, { caller: spoken })).toContain('Priya’s desk rings 18 s');
  });
});

describe('saying what one wants', () => {
  const [welcome, ...others] = attendant.sheets;
  const listening: CallScript = {
    ...withAttendant({ ...attendant, sheets: [{ ...welcome, speech: true }, ...others] as Attendant['sheets'] }),
    people: everybody,
  };
  const say = (words: string): CallerAct[] => [{ type: 'speak', words, afterMs: 1000 }];

  it('takes an option or a person by name, in a menu that listens', () => {
    expect(story(listening, { caller: say('moorings please') })).toContain('Priya’s desk rings 24 s');
    expect(story(listening, { caller: say('Juno Marchetti') })).toContain('Juno’s desk rings 10 s');
  });

  it('counts as a wrong key when it is not understood, and as nothing where the menu does not listen', () => {
    const caller = [...say('pizza'), hangUpAt(4000)];
    expect(story(listening, { caller })).toContain('“Sorry, that key has no use here.”');
    expect(story(script, { caller })).not.toContain('“Sorry, that key has no use here.”');
  });
});

describe('callers who are treated in a way of their own', () => {
  const by: CallScript = {
    ...withAttendant({
      ...attendant,
      answering: {
        ...attendant.answering,
        rules: [
          { type: 'callers', callerListId: slipHolders.id, path: [ringFor(priya.id, 24), ...bye] },
          ...attendant.answering.rules,
        ],
      },
    }),
    callerLists: [slipHolders, nuisance],
  };

  it('are blocked, favoured by number or by prefix, or anonymous', () => {
    expect(story(by, { callerNumber: '+12075550199' })).toEqual(['blocked']);
    expect(story(by, { callerNumber: '+12075550171' })[0]).toBe('Priya’s desk rings 24 s');
    expect(story(by, { callerNumber: '+12075550183', atMs: closedMoment })[0]).toBe('Priya’s desk rings 24 s');
    expect(story(by)[0]).toBe(`on ${welcomeId}`);
    const hiding = { ...by, callerLists: [{ ...nuisance, anonymous: true }] };
    expect(story(hiding, { callerNumber: 'anonymous' })).toEqual(['blocked']);
    expect(story(by, { callerNumber: 'anonymous' })[0]).toBe(`on ${welcomeId}`);
  });

  it('can stand below a period in the answering order', () => {
    const [slips, open] = by.lines[0]?.attendant.answering.rules ?? [];
    if (!slips || !open) throw new Error('The rules are missing');
    const below = withAttendant({ ...attendant, answering: { rules: [open, slips], otherwise: bye } }, by);
    expect(story(below, { callerNumber: '+12075550171' })[0]).toBe(`on ${welcomeId}`);
  });
});

describe('several lines', () => {
  const shedMenu = { ...newMenu(sheetId.create('shed'), 'Shed'), openingWords: 'The shed.', silencePath: bye };
  const shed = {
    ...line,
    id: shedLine,
    number: '+12075550155',
    attendant: {
      ...attendant,
      sheets: [shedMenu],
      answering: { rules: [], otherwise: [{ type: 'goTo' as const, sheetId: shedMenu.id }] },
    },
  };
  const toShed = answering([{ type: 'toLine', lineId: shedLine }]);

  it('hand callers over to one another', () => {
    expect(story({ ...toShed, lines: [...toShed.lines, shed] }).slice(0, 3)).toEqual([
      `with ${shedLine}`,
      `on ${shedMenu.id}`,
      '“The shed.”',
    ]);
  });

  it('that hand a caller to and fro let them go', () => {
    const toMain = { ...shed.attendant.answering, otherwise: [{ type: 'toLine' as const, lineId: mainLine }] };
    const lines = [...toShed.lines, { ...shed, attendant: { ...shed.attendant, answering: toMain } }];
    expect(story({ ...toShed, lines }).at(-1)).toBe('circle');
  });

  it('go past a line that is gone', () => expect(story(toShed).at(-1)).toBe('pathRanOut'));
});

describe('a menu in another language', () => {
  it('says everything in it, the box and the thanks as well', () => {
    const french: Menu = {
      ...newMenu(sheetId.create('fr'), 'Bienvenue'),
      voice: 'frWoman',
      openingWords: 'Bienvenue au chantier naval.',
      options: [{ key: '1', label: 'un message', readOut: true, path: message }],
    };
    const by = answering([{ type: 'goTo', sheetId: french.id }]);
    const [first] = by.lines;
    const called = withAttendant({ ...(first ?? line).attendant, sheets: [french] }, by);
    expect(story(called, { caller: keysAt([1000, '1']) })).toEqual([
      `on ${french.id}`,
      '“Bienvenue au chantier naval.”',
      '“Pour un message, appuyez sur 1.”',
      '“Veuillez laisser un message pour Office après le bip.”',
      '“Ensuite, appuyez sur dièse ou raccrochez.”',
      'message in Office',
      '“Merci.”',
      '“Votre message est enregistré.”',
      '“Au revoir.”',
      'messageTaken',
    ]);
  });
});

describe('recording the call', () => {
  it('goes on until it is switched off or the call ends, and is started once', () => {
    const on: Path[number] = { type: 'record', on: true, tells: false };
    expect(story(answering([on, on, ...bye]))).toEqual(['recording', '“Bye.”', 'not recording', 'hungUp']);
    expect(story(answering([on, { type: 'record', on: false, tells: false }, ...bye]))).toEqual([
      'recording',
      'not recording',
      '“Bye.”',
      'hungUp',
    ]);
  });
});
