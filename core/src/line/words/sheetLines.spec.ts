import { applyEdit, pathSentence, sheetLines, type Edit, type Path } from '..';
import {
  attendant,
  fuelId,
  harbourMaster,
  message,
  moorings,
  names,
  noor,
  office,
  ringFor,
  welcomeId,
} from '../../testing/boatyard';
import { ringDefaults } from '../step';

const linesOf = (id: typeof welcomeId, ...edits: readonly Edit[]) => {
  const edited = edits.reduce(applyEdit, attendant);
  const sheet = edited.sheets.find((each) => each.id === id);
  if (!sheet) throw new Error('There is no such sheet');
  return new Map(sheetLines(sheet, edited, names).map((line) => [line.id, line]));
};
const sentence = (...path: Path): string => pathSentence(path, attendant, names);

describe('a sheet as a page to be read', () => {
  it('says what is heard and what each key does', () => {
    const lines = linesOf(welcomeId);
    expect(lines.get('opening')?.spoken).toBe('Thank you for calling the boatyard.');
    expect(lines.get('key 1')).toMatchObject({
      label: 'Key 1',
      spoken: 'moorings',
      does: 'Ring Priya Castellanos for 24 s, then take a message in Office.',
    });
    expect(lines.get('key #')?.label).toBe('Key #, not read out');
    expect(lines.get('silence')).toMatchObject({
      label: 'If nobody presses a key, 2 × 5 s',
      spoken: 'Are you still there?',
    });
    expect(lines.get('order')?.does).toBe('1 2 9 #');
  });

  it('says what an announcement leads to', () => {
    expect(linesOf(fuelId).get('after')).toMatchObject({ label: 'Then', does: 'Go to Welcome.' });
  });

  it('says what is set, and which voice and recordings it has', () => {
    const take = { takeId: 'take:one', byVoice: false } as never;
    const lines = linesOf(
      welcomeId,
      { type: 'setSheetVoice', sheetId: welcomeId, voice: 'frWoman' },
      { type: 'setTake', sheetId: welcomeId, part: { type: 'openingWords' }, take },
      { type: 'setTake', sheetId: welcomeId, part: { type: 'option', key: '1' }, take },
      {
        type: 'setMenuSettings',
        sheetId: welcomeId,
        settings: { keysDuringGreeting: false, extensions: { waitSeconds: 3 }, speech: true, silentRounds: 1 },
      },
    );
    expect(lines.get('voice')?.does).toBe('Woman, French (fr)');
    expect(lines.get('recordings')?.does).toBe('opening words, key 1');
    expect(lines.get('settings')?.does).toBe(
      'only once the menu was said; extensions can be dialled, 3 s between digits; callers may speak',
    );
    // What is said after a silent round is never heard where there is one round only.
    expect(lines.get('silence')?.spoken).toBe('');
  });
});

describe('a path as a sentence', () => {
  it.each<[string, Path]>([
    ['Nothing.', []],
    [
      'Say “We are at lunch.”, then go to Fuel dock.',
      [
        { type: 'say', spoken: { type: 'typed', words: 'We are at lunch.' } },
        { type: 'goTo', sheetId: fuelId },
      ],
    ],
    ['Ring Noor Haldane with no limit.', [ringFor(noor.id, null)]],
    [
      'Ring Moorings saying “One moment.” before, with hold music.',
      [{ type: 'ringGroup', groupId: moorings.id, seconds: null, before: 'One moment.', hear: { type: 'music' } }],
    ],
    [
      'Ring Harbour master for 18 s to be accepted with 1.',
      [
        {
          ...ringDefaults,
          type: 'ringOutside',
          to: { type: 'contact', contactId: harbourMaster.id },
          accept: true,
          seconds: 18,
        },
      ],
    ],
    ['Hang up saying “Goodbye.”.', [{ type: 'hangUp', words: 'Goodbye.' }]],
    [
      'Record the call from here on without telling the caller, then take a message in Office.',
      [{ type: 'record', on: true, tells: false }, ...message],
    ],
    ['Search by name and ring for 24 s.', [{ type: 'searchByName', by: 'lastName', seconds: 24 }]],
    [
      'Take a message in Office without a beep, telling 1 people.',
      [{ type: 'takeMessage', boxId: office.id, beep: false, tell: [{ personId: noor.id, by: 'email' }] }],
    ],
  ])('reads: %s', (reads, path) => expect(sentence(...path)).toBe(reads));

  it('names what was deleted as such', () => {
    expect(
      pathSentence([{ type: 'takeMessage', boxId: 'box:gone' as never, beep: null, tell: null }], attendant, names),
    ).toBe('Take a message in something deleted.');
  });
});
