import type { BoxId, PersonId } from '../directory';
import type { PeriodId } from '../hours';
import { schemaVersion, type Attendant } from './attendant';
import type { SheetId } from './ids';
import { keys } from './key';
import { newMenu, type Option } from './sheet';
import { messageDefaults, ringDefaults, type Path } from './step';
import { defaultVoice } from './voice';

/** What a first attendant is made from. */
export interface StarterFacts {
  readonly businessName: string;
  /** At most eight get a key each; the first is the one who answers when a caller presses nothing. */
  readonly people: readonly { readonly id: PersonId; readonly name: string }[];
  readonly boxId: BoxId;
  readonly openPeriodId: PeriodId;
  readonly welcomeId: SheetId;
  readonly afterHoursId: SheetId;
}

/** A sensible first attendant: a welcome with a key for each person, and a menu for when nobody is there. */
export function starterAttendant(facts: StarterFacts): Attendant {
  const { businessName, boxId, welcomeId, afterHoursId } = facts;
  const takeMessage: Path = [{ type: 'takeMessage', boxId, ...messageDefaults }];
  const first = facts.people[0];
  const reachSomebody: Path = first ? ringThenMessage(first.id, boxId) : takeMessage;
  const welcome = {
    ...newMenu(welcomeId, 'Welcome'),
    openingWords: `Thank you for calling ${businessName}.`,
    options: [...personOptions(facts), { key: '0', label: 'to leave a message', readOut: true, path: takeMessage }],
    closingWords: first ? `Or stay on the line and ${firstName(first.name)} will be with you.` : '',
    silentRounds: 1,
    silencePath: reachSomebody,
    wrongKeyPath: reachSomebody,
  } as const;
  const afterHours = {
    ...newMenu(afterHoursId, 'After hours'),
    openingWords: `Thank you for calling ${businessName}. We are closed just now.`,
    options: [
      { key: '1', label: 'to leave a message', readOut: true, path: takeMessage },
      { key: '9', label: 'to hear this again', readOut: true, path: [{ type: 'sayAgain' }] },
    ],
    closingWords: 'Or stay on the line and leave a message.',
    silentRounds: 1,
    silencePath: takeMessage,
    wrongKeyPath: takeMessage,
  } as const;
  return {
    schemaVersion,
    voice: defaultVoice,
    sheets: [welcome, afterHours],
    paths: [],
    answering: {
      rules: [{ type: 'period', periodId: facts.openPeriodId, path: [{ type: 'goTo', sheetId: welcomeId }] }],
      otherwise: [{ type: 'goTo', sheetId: afterHoursId }],
    },
  };
}

function personOptions({ people, boxId }: StarterFacts): Option[] {
  return people.slice(0, 8).map((person, index) => ({
    key: keys[index] ?? '9',
    label: person.name,
    readOut: true,
    path: ringThenMessage(person.id, boxId),
  }));
}

function ringThenMessage(personId: PersonId, boxId: BoxId): Path {
  return [
    { type: 'ring', personId, ...ringDefaults },
    { type: 'takeMessage', boxId, ...messageDefaults },
  ];
}

function firstName(name: string): string {
  return name.split(/\s+/)[0] ?? name;
}
