import { newMenu } from '../sheet';
import { assembled, follow, frontDeskPath, option, reach, reachOperator, team, type Starter } from './starter';

/** A workshop or a yard: a new job, a job in hand, parts, and what cannot wait. */
export const workshop: Starter = {
  name: 'A workshop',
  about: 'A new job, a job in hand, parts and accounts; something urgent gets through at once.',
  make(facts) {
    const frontDesk = frontDeskPath(facts);
    const of = (index: number) => team(facts, index, 4);
    const jobs = {
      ...newMenu(facts.sheetId('jobs'), 'Jobs'),
      openingWords: 'Jobs in the workshop.',
      options: [
        option('1', 'a new job', of(0)),
        option('2', 'a job that is in hand', of(1)),
        option('9', 'to go back', [{ type: 'back' }]),
      ],
      closingWords: 'Or stay on the line for the workshop.',
      silentRounds: 1,
      silencePath: of(0),
      wrongKeyPath: of(0),
    };
    const welcome = {
      ...newMenu(facts.sheetId('welcome'), 'Welcome'),
      openingWords: `Thank you for calling ${facts.businessName}.`,
      options: [
        option('1', 'a new job, or one that is in hand', [{ type: 'goTo', sheetId: jobs.id }]),
        option('2', 'parts', of(2)),
        option('3', 'an invoice', of(3)),
        option(
          '4',
          'something that cannot wait',
          facts.isInOrder ? reach(facts, facts.people.slice(0, 4), 12) : reachOperator(facts),
        ),
        option('0', 'the front desk', follow(frontDesk)),
      ],
      silencePath: follow(frontDesk),
      wrongKeyPath: follow(frontDesk),
    };
    return assembled(facts, { welcome, others: [jobs], frontDesk });
  },
};
