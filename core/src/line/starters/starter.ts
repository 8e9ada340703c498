import type { BoxId, PersonId } from '../../directory';
import type { PeriodId } from '../../hours';
import { schemaVersion, type Attendant, type NamedPath } from '../attendant';
import type { NamedPathId, SheetId } from '../ids';
import type { Key } from '../key';
import { newMenu, type Menu, type Option, type Sheet } from '../sheet';
import { messageDefaults, ringDefaults, type Path } from '../step';
import { defaultVoice } from '../voice';

/** What a ready attendant is made from. */
export interface StarterFacts {
  readonly businessName: string;
  /** Those who answer, the one at the front first. */
  readonly people: readonly { readonly id: PersonId; readonly name: string }[];
  /** Whether that order is somebody's, so that people can be dealt out by it; if not, the operator stands in for all. */
  readonly isInOrder: boolean;
  readonly boxId: BoxId;
  /** The period in which somebody is there; null when the hours have none. */
  readonly openPeriodId: PeriodId | null;
  /** Makes ids; the text is a hint that may be used or not. */
  readonly sheetId: (hint: string) => SheetId;
  readonly pathId: (hint: string) => NamedPathId;
}

/** A ready attendant for a kind of business, in the manager's language. */
export interface Starter {
  readonly name: string;
  readonly about: string;
  readonly make: (facts: StarterFacts) => Attendant;
}

/** Somebody is rung, then a message is taken; with nobody there the message is taken at once. */
export function reach({ boxId }: StarterFacts, people: StarterFacts['people'], seconds = 18): Path {
  const rings = people.map(({ id }): Path[number] => ({ ...ringDefaults, type: 'ring', personId: id, seconds }));
  return [...rings, { type: 'takeMessage', boxId, ...messageDefaults }];
}

/** One of several departments: its people are rung, or, where nobody said who does what, whoever operates the line. */
export function team(facts: StarterFacts, index: number, teams: number, seconds = 18): Path {
  return facts.isInOrder ? reach(facts, department(facts, index, teams), seconds) : reachOperator(facts, seconds);
}

/** The operator is rung, then a message is taken. */
export function reachOperator(facts: StarterFacts, seconds = 24): Path {
  return [{ ...ringDefaults, type: 'ringOperator', seconds }, ...reach(facts, [])];
}

/** The people of one of several departments: dealt out in turn, so that with few people some do several things. */
function department({ people }: StarterFacts, index: number, departments: number): StarterFacts['people'] {
  if (people.length === 0) return [];
  if (people.length < departments) return [people[index % people.length]].flatMap((person) => person ?? []);
  return people.filter((_, each) => each % departments === index).slice(0, 3);
}

export function option(key: Key, label: string, path: Path): Option {
  return { key, label, readOut: true, path };
}

/** What nearly every attendant has: what answers by day, what otherwise, and a front desk that is written once. */
export function assembled(
  facts: StarterFacts,
  parts: { readonly welcome: Menu; readonly others: readonly Sheet[]; readonly frontDesk: NamedPath },
): Attendant {
  const { welcome, others, frontDesk } = parts;
  const toWelcome: Path = [{ type: 'goTo', sheetId: welcome.id }];
  const closed = afterHours(facts);
  return {
    schemaVersion,
    voice: defaultVoice,
    sheets: [welcome, ...others, closed],
    paths: [frontDesk],
    fallbacks: [],
    answering: facts.openPeriodId
      ? {
          rules: [{ type: 'period', periodId: facts.openPeriodId, path: toWelcome }],
          otherwise: [{ type: 'goTo', sheetId: closed.id }],
        }
      : { rules: [], otherwise: toWelcome },
  };
}

/** Whoever operates the line is rung, then a message is taken. */
export function frontDeskPath(facts: StarterFacts): NamedPath {
  return { id: facts.pathId('frontDesk'), name: 'Front desk', steps: reachOperator(facts) };
}

export function follow({ id }: NamedPath): Path {
  return [{ type: 'followPath', pathId: id }];
}

/** The menu for when nobody is there. */
function afterHours(facts: StarterFacts): Menu {
  const message = reach(facts, []);
  return {
    ...newMenu(facts.sheetId('afterHours'), 'After hours'),
    openingWords: `Thank you for calling ${facts.businessName}. We are closed just now.`,
    options: [option('1', 'to leave a message', message), option('9', 'to hear this again', [{ type: 'sayAgain' }])],
    closingWords: 'Or stay on the line and leave a message.',
    silentRounds: 1,
    silencePath: message,
    wrongKeyPath: message,
  };
}
