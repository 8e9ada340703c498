import { newAnnouncement, newMenu } from '../sheet';
import { assembled, follow, frontDeskPath, option, reach, type Starter } from './starter';

/** One who is often at work with both hands: callers can be put through, leave a message, or hear where and when. */
export const onePerson: Starter = {
  name: 'A firm of one',
  about: 'Rings you; when you cannot answer, takes a message and says what people ask for most.',
  make(facts) {
    const frontDesk = { ...frontDeskPath(facts), name: 'Me' };
    const about = {
      ...newAnnouncement(facts.sheetId('about'), 'Hours and address'),
      words: `${facts.businessName} works by appointment. Leave your name and number, and you will be called back the same day.`,
      afterPath: reach(facts, []),
    };
    const welcome = {
      ...newMenu(facts.sheetId('welcome'), 'Welcome'),
      openingWords: `This is ${facts.businessName}.`,
      options: [
        option('1', 'to be put through', follow(frontDesk)),
        option('2', 'to leave a message', reach(facts, [])),
        option('3', 'hours and address', [{ type: 'goTo', sheetId: about.id }]),
      ],
      closingWords: 'Or stay on the line.',
      silentRounds: 1,
      silencePath: follow(frontDesk),
      wrongKeyPath: follow(frontDesk),
    };
    return assembled(facts, { welcome, others: [about], frontDesk });
  },
};
