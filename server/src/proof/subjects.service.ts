import { Injectable } from '@nestjs/common';
import { dayAt, type Hours } from '@locutor/core/hours';
import type { Attendant, Greeting, LineId, Unpressed } from '@locutor/core/line';
import type { ProofLine, ProofSubject } from '@locutor/core/proof';
import { DataSource, IsNull, Not } from 'typeorm';
import { BoxesService } from '../boxes/boxes.service';
import { CallerListsService } from '../callerLists/callerLists.service';
import { ContactsService } from '../contacts/contacts.service';
import { storedAttendant } from '../drafts/storedAttendant';
import { GreetingsService } from '../greetings/greetings.service';
import { GroupsService } from '../groups/groups.service';
import { HoursService } from '../hours/hours.service';
import type { LineEntity } from '../lines/line.entity';
import { LinesService } from '../lines/lines.service';
import { PersonEntity } from '../people/person.entity';
import { PeopleService } from '../people/people.service';
import { notFound } from '../problems/problem';
import { QueuesService } from '../queues/queues.service';
import { SettingsService } from '../settings/settings.service';
import { VoiceFolder } from '../voices/voiceFolder';
import { RecordingsService } from '../recordings/recordings.service';
import { TakesService } from '../takes/takes.service';
import { Clock } from '../clock/clock';
import { SwitchesService } from '../switches/switches.service';
import { TrafficService } from '../traffic/traffic.service';
import { VersionEntity } from '../versions/version.entity';
import type { VersionId } from '../versions/versionId';

const keepMs = 600_000;

/** How an attendant is read. */
export interface ReadAs {
  /** The greetings that a version has kept, in place of the library's. */
  readonly ownGreetings?: readonly Greeting[];
  /** When it is to go on air, in ms since 1970: a switch that is over by then leads nowhere any more. Now, when left out. */
  readonly atMs?: number;
}

/** Gathers everything that the proof of an attendant reads, as it is now. */
@Injectable()
export class SubjectsService {
  private readonly known = new Map<string, { readonly is: Unpressed; readonly atMs: number }>();

  constructor(
    private readonly database: DataSource,
    private readonly lines: LinesService,
    private readonly hours: HoursService,
    private readonly people: PeopleService,
    private readonly groups: GroupsService,
    private readonly queues: QueuesService,
    private readonly boxes: BoxesService,
    private readonly greetings: GreetingsService,
    private readonly contacts: ContactsService,
    private readonly callerLists: CallerListsService,
    private readonly takes: TakesService,
    private readonly texts: RecordingsService,
    private readonly settings: SettingsService,
    private readonly traffic: TrafficService,
    private readonly switches: SwitchesService,
    private readonly voices: VoiceFolder,
    private readonly clock: Clock,
  ) {}

  async of(
    lineId: LineId,
    attendant: Attendant,
    { ownGreetings, atMs = this.clock.now() }: ReadAs = {},
  ): Promise<ProofSubject> {
    const line = await this.lines.get(lineId);
    const [allHours, people, groups, queues, boxes, greetings, contacts, callerLists, takes, lines, leavers] =
      await Promise.all([
        this.hours.list(),
        this.people.list(),
        this.groups.list(),
        this.queues.list(),
        this.boxes.list(),
        ownGreetings ?? this.greetings.list(),
        this.contacts.list(),
        this.callerLists.list(),
        this.takes.list(),
        this.otherLines(),
        this.leavers(),
      ]);
    const { outgoing, mostAloneSeconds } = await this.settings.get();
    return {
      attendant,
      line,
      today: dayAt(this.clock.now(), line.timeZone),
      hours: hoursOf(line, allHours),
      allHours,
      people,
      groups,
      queues,
      boxes,
      greetings,
      contacts,
      callerLists,
      outgoing,
      mostAloneSeconds,
      takes,
      recordings: await this.texts.list(),
      ownVoices: (await this.voices.list()).voices.map(({ voice }) => voice),
      lines,
      leavers,
      unpressed: await this.unpressed(line),
      switched: await this.switchAt(lineId, atMs),
    };
  }

  /** Of what callers of a line hear now; null while nothing is on air. */
  async onAirOf({ id, onAirVersionId }: LineEntity): Promise<ProofSubject | null> {
    if (!onAirVersionId) return null;
    const version = await this.versionOf(onAirVersionId);
    return this.of(id, storedAttendant(version.attendant), { ownGreetings: version.greetings });
  }

  /** The same for a while: it takes counting, and changes by the day. */
  private async unpressed({ id: lineId, onAirVersionId }: LineEntity): Promise<Unpressed> {
    const key = `${lineId} ${onAirVersionId}`;
    const nowMs = this.clock.elapsedMs();
    const known = this.known.get(key);
    if (known && nowMs - known.atMs < keepMs) return known.is;
    const is = await this.traffic.unpressed(lineId);
    this.known.set(key, { is, atMs: nowMs });
    return is;
  }

  private async switchAt(lineId: LineId, atMs: number): Promise<ProofSubject['switched']> {
    const switched = await this.switches.current(lineId);
    return switched && switched.untilMs > atMs ? { to: switched.to, words: switched.words } : null;
  }

  /** The names of people who were in the directory. */
  async leavers(): Promise<readonly string[]> {
    const gone = await this.database.getRepository(PersonEntity).findBy({ deletedAt: Not(IsNull()) });
    return gone.map(({ name }) => name);
  }

  private async otherLines(): Promise<readonly ProofLine[]> {
    const lines = await this.lines.list();
    return Promise.all(lines.map(async (line) => ({ ...factsOf(line), onAir: await this.onAir(line) })));
  }

  private async onAir({ onAirVersionId }: LineEntity): Promise<Attendant | null> {
    if (!onAirVersionId) return null;
    return storedAttendant((await this.versionOf(onAirVersionId)).attendant);
  }

  private versionOf(id: VersionId): Promise<VersionEntity> {
    return this.database.getRepository(VersionEntity).findOneByOrFail({ id });
  }
}

function hoursOf({ hoursId }: LineEntity, all: readonly Hours[]): Hours {
  const hours = all.find(({ id }) => id === hoursId);
  if (!hours) throw notFound('Those hours');
  return hours;
}

/** What other lines know of a line. */
export function factsOf({
  id,
  name,
  number,
  serviceFrom,
  serviceUntil,
}: Omit<ProofLine, 'onAir'>): Omit<ProofLine, 'onAir'> {
  return { id, name, number, serviceFrom, serviceUntil };
}
