import { attendant, closedId, fuelId, hours, names, noor, office, priya, welcomeId } from '../testing/boatyard';
import { applyEdit, type Attendant, type Edit } from '../line';
import { adviseOn, describeFinding, proof, type RuleName } from '.';
import { rules } from './rules';

const read = (edited: Attendant) =>
  proof({ attendant: edited, hours, people: [noor, priya], boxes: [office], greetings: [] });

const flaws: Readonly<Record<RuleName, readonly [Edit, string]>> = {
  pathEmpty: [
    { type: 'addKey', sheetId: welcomeId, option: { key: '4', label: 'parts', readOut: true, path: [] } },
    'Key 4 of Welcome leads nowhere.',
  ],
  pathStops: [
    {
      type: 'setPath',
      slot: { type: 'key', sheetId: welcomeId, key: '1' },
      path: [{ type: 'ring', personId: priya.id, seconds: 24 }],
    },
    'Key 1 of Welcome stops: if nobody picks up, the caller is cut off.',
  ],
  toDeleted: [{ type: 'removeSheet', sheetId: fuelId }, 'Key 2 of Welcome leads to something that was deleted.'],
  noFallback: [
    { type: 'setPath', slot: { type: 'silence', sheetId: welcomeId }, path: [] },
    'The silence path of Welcome is missing: a caller who presses nothing reaches nobody.',
  ],
  noWords: [
    { type: 'setWords', sheetId: closedId, part: 'openingWords', words: ' … ' },
    'After hours says nothing: the caller hears silence.',
  ],
};

describe('the proof', () => {
  it('finds nothing in a sound attendant', () => expect(read(attendant)).toEqual([]));

  it.each(rules.map((rule) => rule.name))('finds one fault, and only that, by the rule %s', (name) => {
    const [edit, says] = flaws[name];
    const edited = applyEdit(attendant, edit);
    const findings = read(edited);
    expect(findings.map(({ rule }) => rule)).toEqual([name]);
    expect(findings.map((finding) => describeFinding(finding, edited, names))).toEqual([says]);
    expect(findings.every((finding) => adviseOn(finding).length > 0)).toBe(true);
  });

  it('finds every fault of several', () => {
    const edited = Object.values(flaws).reduce((all, [edit]) => applyEdit(all, edit), attendant);
    expect(new Set(read(edited).map(({ rule }) => rule))).toEqual(new Set(Object.keys(flaws)));
  });

  it('finds a person who has left', () => {
    const findings = proof({ attendant, hours, people: [noor], boxes: [office], greetings: [] });
    expect(findings).toEqual([
      {
        rule: 'toDeleted',
        grade: 'fault',
        at: { type: 'path', slot: { type: 'key', sheetId: welcomeId, key: '1' }, stepIndex: 0 },
      },
    ]);
  });
});
