import { Injectable } from '@nestjs/common';
import type { CallScript, LineScript } from '@locutor/core/call';
import { takeId, takesUsed, type Greeting, type LineId, type RecordedTake } from '@locutor/core/line';
import { BoxesService } from '../boxes/boxes.service';
import { CallerListsService } from '../callerLists/callerLists.service';
import { ContactsService } from '../contacts/contacts.service';
import { DraftsService } from '../drafts/drafts.service';
import { GreetingsService } from '../greetings/greetings.service';
import { GroupsService } from '../groups/groups.service';
import { HoursService } from '../hours/hours.service';
import type { LineEntity } from '../lines/line.entity';
import { LinesService } from '../lines/lines.service';
import { PeopleService } from '../people/people.service';
import { conflict } from '../problems/problem';
import { QueuesService } from '../queues/queues.service';
import { RecordingsService } from '../recordings/recordings.service';
import { SettingsService } from '../settings/settings.service';
import { SwitchesService } from '../switches/switches.service';
import { TakesService } from '../takes/takes.service';
import { VersionsService, type WholeVersion } from '../versions/versions.service';

export type Which = 'draft' | 'onAir';

/** An attendant that stands in for a line's own, with what it says that is not in the library. */
export type StandIn = Pick<WholeVersion, 'attendant' | 'greetings' | 'takes'>;

/** Gathers everything that a call to a line goes by. */
@Injectable()
export class ScriptsService {
  constructor(
    private readonly lines: LinesService,
    private readonly drafts: DraftsService,
    private readonly versions: VersionsService,
    private readonly hours: HoursService,
    private readonly switches: SwitchesService,
    private readonly people: PeopleService,
    private readonly groups: GroupsService,
    private readonly queues: QueuesService,
    private readonly boxes: BoxesService,
    private readonly contacts: ContactsService,
    private readonly callerLists: CallerListsService,
    private readonly greetings: GreetingsService,
    private readonly takes: TakesService,
    private readonly settings: SettingsService,
    private readonly texts: RecordingsService,
  ) {}

  /**
   * The script of a line, with its draft or what is on air. Other lines, to which it may hand over, are as callers
   * find them: on air, or, where nothing is yet, their draft. Another attendant can stand in for the draft.
   */
  async of(lineId: LineId, which: Which, standIn?: StandIn): Promise<CallScript> {
    const line = await this.lines.get(lineId);
    if (which === 'onAir' && !line.onAirVersionId) throw conflict(`Nothing is on air on ${line.name} yet.`);
    const lines = await this.lines.list();
    const spoken: Greeting[] = [];
    const kept: RecordedTake[] = [];
    const scripts: LineScript[] = [];
    for (const each of lines) {
      const { attendant, greetings, takes } =
        standIn && each.id === lineId ? standIn : await this.attendantOf(each, each.id === lineId ? which : 'onAir');
      spoken.push(...greetings);
      kept.push(...takes);
      const { id, name, number, timeZone, operatorId } = each;
      const [lineHours, switched] = await Promise.all([this.hours.get(each.hoursId), this.switches.current(id)]);
      scripts.push({ id, name, number, timeZone, operatorId, attendant, hours: lineHours, switched });
    }
    const [people, groups, queues, boxes, contacts, callerLists, greetings, hours, recordings, settings] =
      await Promise.all([
        this.people.list(),
        this.groups.list(),
        this.queues.list(),
        this.boxes.list(),
        this.contacts.list(),
        this.callerLists.list(),
        this.greetings.list(),
        this.hours.list(),
        this.texts.list(),
        this.settings.get(),
      ]);
    const { holdMusic, outgoing } = settings;
    const library = [...greetings, ...spoken];
    const played = takeId.is(holdMusic) ? [holdMusic] : [];
    const used = [...played, ...[...library, ...recordings].flatMap(({ take }) => (take ? [take.takeId] : []))];
    const drafts = scripts.flatMap(({ attendant }) => [...takesUsed(attendant)]);
    // What is on air has recordings as they were when it was put there; those come last and win.
    const takes = [...(await this.takes.recorded([...used, ...drafts])), ...kept];
    const directory = { people, groups, queues, boxes, contacts, callerLists, greetings: library, takes, hours };
    return { lineId, lines: scripts, ...directory, recordings, holdMusic, outgoing };
  }

  private async attendantOf({ id, onAirVersionId }: LineEntity, which: Which): Promise<StandIn> {
    if (which === 'onAir' && onAirVersionId) return this.versions.get(id, onAirVersionId);
    return { attendant: (await this.drafts.get(id)).attendant, greetings: [], takes: [] };
  }
}
