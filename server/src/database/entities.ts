import { AiringEntity } from '../versions/airing.entity';
import { FirstCallEntity } from '../firstCalls/firstCall.entity';
import { RehearsalEntity } from '../rehearsals/rehearsal.entity';
import { AcceptedEntity } from '../proof/accepted.entity';
import { PlannedAiringEntity } from '../airing/plannedAiring.entity';
import { BoxEntity } from '../boxes/box.entity';
import { BoxPinEntity } from '../boxes/boxPin.entity';
import { CallEntity } from '../callLog/call.entity';
import { CallerListEntity } from '../callerLists/callerList.entity';
import { ContactEntity } from '../contacts/contact.entity';
import { DictionaryEntity } from '../dictionary/dictionary.module';
import { DraftEntity } from '../drafts/draft.entity';
import { GreetingEntity } from '../greetings/greeting.entity';
import { GroupEntity } from '../groups/group.entity';
import { HoursEntity } from '../hours/hours.entity';
import { LineEntity } from '../lines/line.entity';
import { PresenceEntity } from '../live/presence.entity';
import { MessageEntity } from '../messages/message.entity';
import { OutboxItemEntity } from '../outbox/outboxItem.entity';
import { PersonEntity } from '../people/person.entity';
import { SessionEntity } from '../recordings/session.entity';
import { TextRecordingEntity } from '../recordings/textRecording.entity';
import { QueueEntity } from '../queues/queue.entity';
import { SettingsEntity } from '../settings/settings.entity';
import { SpokenSentenceEntity } from '../speech/spokenSentence.entity';
import { SwitchEntity } from '../switches/switch.entity';
import { TakeEntity } from '../takes/take.entity';
import { VersionEntity } from '../versions/version.entity';

export const entities = [
  AiringEntity,
  FirstCallEntity,
  RehearsalEntity,
  AcceptedEntity,
  PlannedAiringEntity,
  LineEntity,
  HoursEntity,
  DraftEntity,
  VersionEntity,
  PersonEntity,
  GroupEntity,
  QueueEntity,
  BoxEntity,
  BoxPinEntity,
  ContactEntity,
  CallerListEntity,
  GreetingEntity,
  MessageEntity,
  CallEntity,
  PresenceEntity,
  OutboxItemEntity,
  SettingsEntity,
  SpokenSentenceEntity,
  SwitchEntity,
  TakeEntity,
  TextRecordingEntity,
  SessionEntity,
  DictionaryEntity,
];
