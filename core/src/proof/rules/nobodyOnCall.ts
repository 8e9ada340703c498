import { readDate } from '../../hours';
import { firstDayOf } from '../../rota';
import type { Found, Rule } from '../rule';
import { stepsOf } from '../steps';

/** A group that rings whoever is on call, with a rota in which nobody is: its members are rung in their order. */
export const nobodyOnCall: Rule<'nobodyOnCall'> = {
  name: 'nobodyOnCall',
  grade: 'caution',
  consequence: 'wrongPlace',
  find: (subject) => {
    const today = readDate(subject.today) ?? 0;
    const rung = new Set(stepsOf(subject, 'ringGroup').map(({ step }) => step.groupId));
    return subject.groups
      .filter(({ id, order, rota, members }) => {
        const isMeant = order === 'onCall' && members.length > 0 && (rung.has(id) || subject.line.operatorId === id);
        return isMeant && (!rota || rota.turns.length === 0 || firstDayOf(rota) > today);
      })
      .map(({ id }): Found => ({ at: { type: 'row', id }, facts: { who: id } }));
  },
};
