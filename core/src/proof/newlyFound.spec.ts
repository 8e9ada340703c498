import { fuelId, moorings, noor, welcomeId } from '../testing/boatyard';
import { onKey1, ringGroup } from '../testing/flaws';
import { leaveMessage, nightHours, soundAttendant, soundSubject } from '../testing/soundOffice';
import { applyEdit } from '../line';
import { newlyFound, proof } from '.';

const subject = soundSubject(applyEdit(soundAttendant, onKey1(ringGroup(moorings.id), ...leaveMessage)));
const emptied = { ...subject, groups: [{ ...moorings, members: [] }] };
const rulesIn = (...subjects: Parameters<typeof newlyFound>): readonly string[] =>
  newlyFound(...subjects).map(({ rule }) => rule);

describe('what callers would meet once the office is otherwise', () => {
  it('is nothing where all stays as it is, or becomes better', () => {
    expect(newlyFound(subject, subject)).toEqual([]);
    expect(newlyFound(emptied, subject)).toEqual([]);
  });

  it('is what a group does when its last member is taken out', () => {
    const [first, ...others] = newlyFound(subject, emptied);
    expect(first).toMatchObject({ rule: 'nobodyThere', at: { type: 'path', stepIndex: 0 } });
    expect(others.map(({ at }) => at)).not.toContainEqual(first?.at);
  });

  it('leaves out what was wrong there before, and says what comes to it', () => {
    expect(newlyFound(emptied, emptied)).toEqual([]);
    const shut = { ...emptied, hours: { ...emptied.hours, week: [] } };
    const news = newlyFound(emptied, shut);
    expect(news.every(({ grade }) => grade !== 'tip')).toBe(true);
    expect(news.map(({ rule }) => rule)).not.toContain('nobodyThere');
  });

  it('leaves out what callers only wait for', () => {
    const renumbered = {
      ...subject,
      people: subject.people.map((each) => ({ ...each, extension: `1${each.extension}` })),
    };
    const waits = soundSubject(
      applyEdit(subject.attendant, {
        ...{ type: 'setMenuSettings', sheetId: welcomeId },
        settings: { extensions: { waitSeconds: 3 } },
      }),
    );
    const then = { ...waits, people: renumbered.people };
    expect(proof(then).map(({ rule }) => rule)).toContain('keyIsFirstDigit');
    expect(rulesIn(waits, then)).not.toContain('keyIsFirstDigit');
  });

  it('tells of words that are no longer so, and of people who would never work when they are rung', () => {
    const stated = soundSubject(
      applyEdit(soundAttendant, {
        ...{ type: 'setWords', sheetId: fuelId, part: 'words' },
        words: 'The fuel dock is at the end of the pier. We are open from 8 to 5.',
      }),
    );
    const earlier = stated.hours.week.map((span) => ({ ...span, startMin: 360 }));
    const said = proof(stated).some(({ rule }) => rule === 'hoursInWords');
    const after = rulesIn(stated, { ...stated, hours: { ...stated.hours, week: earlier } });
    expect(after.includes('hoursInWords')).toBe(!said);
    const people = subject.people.map((person) =>
      person.id === noor.id ? { ...person, hoursId: nightHours.id } : person,
    );
    const then = { ...subject, people, allHours: [...subject.allHours, nightHours] };
    expect(rulesIn(subject, then)).toContain('nobodyWorking');
  });
});
