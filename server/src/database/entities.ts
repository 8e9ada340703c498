import { BoxEntity } from '../boxes/box.entity';
import { CallerListEntity } from '../callerLists/callerList.entity';
import { ContactEntity } from '../contacts/contact.entity';
import { DraftEntity } from '../drafts/draft.entity';
import { GreetingEntity } from '../greetings/greeting.entity';
import { HoursEntity } from '../hours/hours.entity';
import { LineEntity } from '../lines/line.entity';
import { MessageEntity } from '../messages/message.entity';
import { PersonEntity } from '../people/person.entity';
import { SpokenSentenceEntity } from '../speech/spokenSentence.entity';
import { VersionEntity } from '../versions/version.entity';

export const entities = [
  LineEntity,
  HoursEntity,
  DraftEntity,
  VersionEntity,
  PersonEntity,
  BoxEntity,
  ContactEntity,
  CallerListEntity,
  GreetingEntity,
  MessageEntity,
  SpokenSentenceEntity,
];
