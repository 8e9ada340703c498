import { everyStep } from './002-everyStep';
import { groupsAndQueues } from './003-groupsAndQueues';
import { takes } from './004-takes';
import { specialDates } from './005-specialDates';
import { operator } from './006-operator';
import type { Upgrade } from './upgrade';

/** Every upgrade of the attendant document, in order. Only ever appended to. */
export const upgrades: readonly Upgrade[] = [everyStep, groupsAndQueues, takes, specialDates, operator];
