import { newMenu } from '../sheet';
import { assembled, department, follow, frontDeskPath, option, reach, type Starter } from './starter';

/** A workshop or a yard: a new job, a job in hand, parts, and what cannot wait. */
export const workshop: Starter = {
  name: 'A workshop',
  about: 'A new job, a job in hand, parts and accounts; something urgent gets through at once.',
  make(facts) {
    const frontDesk = frontDeskPath(facts);
    const team = (index: number) => reach(facts, department(facts, index, 4));
    const jobs = {
      ...newMenu(facts.sheetId('jobs'), 'Jobs'),
      openingWords: 'Jobs in the workshop.',
      options: [
        option('1', 'a new job', team(0)),
        option('2', 'a job that is in hand', team(1)),
        option('9', 'to go back', [{ type: 'back' }]),
      ],
      closingWords: 'Or stay on the line for the workshop.',
      silentRounds: 1,
      silencePath: team(0),
      wrongKeyPath: team(0),
    };
    const welcome = {
      ...newMenu(facts.sheetId('welcome'), 'Welcome'),
      openingWords: `Thank you for calling ${facts.businessName}.`,
      options: [
        option('1', 'a new job, or one that is in hand', [{ type: 'goTo', sheetId: jobs.id }]),
        option('2', 'parts', team(2)),
        option('3', 'an invoice', team(3)),
        option('4', 'something that cannot wait', reach(facts, facts.people.slice(0, 4), 12)),
        option('0', 'the front desk', follow(frontDesk)),
      ],
      silencePath: follow(frontDesk),
      wrongKeyPath: follow(frontDesk),
    };
    return assembled(facts, { welcome, others: [jobs], frontDesk });
  },
};
