import { rotaDefaults, type Group, type Member, type PersonId, type Queue, type Rota } from '@locutor/core/directory';
import type { StaffName } from './people';

/** A group of the boatyard, with its members by name. */
type DemoGroup = Omit<Partial<Group>, 'members' | 'id' | 'rota'> & {
  readonly name: string;
  readonly members: readonly StaffName[];
  /** The Monday from which members are on call a week each. */
  readonly onCallFrom?: string;
};

export const groups = [
  {
    name: 'Front desk',
    extension: '250',
    order: 'allAtOnce',
    members: ['Noor Haldane', 'Effie Brannigan'],
    memberSeconds: 24,
  },
  {
    name: 'Moorings',
    extension: '254',
    order: 'takingTurns',
    members: ['Priya Castellanos', 'Wendell Achterberg'],
  },
  {
    name: 'Parts counter',
    extension: '256',
    directNumber: '+1 207 555 0146',
    order: 'inOrder',
    members: ['Juno Marchetti', 'Silas Pemberton-Roy'],
    restSeconds: 10,
  },
  {
    name: 'Yard',
    extension: '253',
    order: 'longestFree',
    members: ['Bram Lindqvist', 'Mateo O’Dowd', 'Ingrid Vasquez-Thorne', 'Cormac Adeyemi'],
    speakerCode: '*50',
  },
  {
    name: 'On call',
    order: 'onCall',
    onCallFrom: '2026-01-05',
    ringsOn: 'outside',
    workingOnly: false,
    members: ['Bram Lindqvist', 'Mateo O’Dowd', 'Cormac Adeyemi'],
    memberSeconds: 24,
  },
] as const satisfies readonly DemoGroup[];

export type GroupName = (typeof groups)[number]['name'];

/** The rush in April and May: Moorings and Yard answer together. */
export const launchLine = {
  name: 'Spring launch line',
  extension: '255',
  order: 'longestFree',
  members: [
    'Priya Castellanos',
    'Wendell Achterberg',
    'Bram Lindqvist',
    'Mateo O’Dowd',
    'Ingrid Vasquez-Thorne',
    'Cormac Adeyemi',
  ],
  entryWords: 'Everybody wants to launch this week. Please hold the line; calls are answered in turn.',
  waiting: [
    { type: 'music', seconds: 40 },
    { type: 'words', words: 'Have your boat’s name, length and draft at hand, and we will find you a tide.' },
  ],
  placeEverySeconds: 45,
  mostCallers: 8,
  longestWaitSeconds: 180,
  restSeconds: 20,
  exitKey: '*',
} as const satisfies Omit<Partial<Queue>, 'members' | 'id'> & { readonly members: readonly StaffName[] };

/** What the API is sent to add a group or the queue. */
export function bodyOf(
  { onCallFrom, ...kind }: { readonly members: readonly StaffName[]; readonly onCallFrom?: string },
  personId: (name: StaffName) => PersonId,
): object {
  const members = kind.members.map((name): Member => ({ personId: personId(name), tier: 1 }));
  if (onCallFrom === undefined) return { ...kind, members };
  const rota: Rota = { ...rotaDefaults, turns: members.map((each) => each.personId), from: onCallFrom };
  return { ...kind, members, rota };
}

/** The codes and PINs with which colleagues hear the messages of a box. */
export const boxCodes = {
  Office: { code: '*20', pin: '2020' },
  Moorings: { code: '*24', pin: '2424' },
  Yard: { code: '*23', pin: '2323' },
} as const;
