import { keys } from '../key';
import { newMenu } from '../sheet';
import { assembled, follow, frontDeskPath, option, reach, type Starter } from './starter';

/** A welcome with a key for each of the first eight people. */
export const people: Starter = {
  name: 'A key for each person',
  about: 'For a handful of people whom callers know by name.',
  make(facts) {
    const frontDesk = frontDeskPath(facts);
    const welcome = {
      ...newMenu(facts.sheetId('welcome'), 'Welcome'),
      openingWords: `Thank you for calling ${facts.businessName}.`,
      options: [
        ...facts.people
          .slice(0, 8)
          .map((person, index) => option(keys[index] ?? '9', person.name, reach(facts, [person], 24))),
        option('9', 'to leave a message', reach(facts, [])),
        option('0', 'to speak to somebody', follow(frontDesk)),
      ],
      closingWords: 'Or stay on the line to speak to somebody.',
      silentRounds: 1,
      silencePath: follow(frontDesk),
      wrongKeyPath: follow(frontDesk),
    };
    return assembled(facts, { welcome, others: [], frontDesk });
  },
};
