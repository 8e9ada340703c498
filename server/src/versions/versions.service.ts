import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  greetingsUsed,
  takesUsed,
  type Attendant,
  type Greeting,
  type LineId,
  type RecordedTake,
} from '@locutor/core/line';
import { dayAt } from '@locutor/core/hours';
import { adviseOn, describeFinding, faultsIn, proof } from '@locutor/core/proof';
import { Repository } from 'typeorm';
import { BoxesService } from '../boxes/boxes.service';
import { CallerListsService } from '../callerLists/callerLists.service';
import { ContactsService } from '../contacts/contacts.service';
import { DraftsService } from '../drafts/drafts.service';
import { storedAttendant } from '../drafts/storedAttendant';
import { GreetingsService } from '../greetings/greetings.service';
import { GroupsService } from '../groups/groups.service';
import { HoursService } from '../hours/hours.service';
import { LinesService } from '../lines/lines.service';
import { PeopleService } from '../people/people.service';
import { QueuesService } from '../queues/queues.service';
import { notFound, Problem, stale } from '../problems/problem';
import { newId } from '../rows/newId';
import { TakesService } from '../takes/takes.service';
import { UsesService } from '../uses/uses.service';
import { VersionEntity } from './version.entity';
import { versionId, type VersionId } from './versionId';

export interface Version {
  readonly id: VersionId;
  readonly number: number;
  readonly onAirAt: number;
  readonly draftRevision: number;
  readonly onAir: boolean;
}

export interface WholeVersion extends Version {
  readonly attendant: Attendant;
  readonly greetings: readonly Greeting[];
  readonly takes: readonly RecordedTake[];
}

@Injectable()
export class VersionsService {
  constructor(
    @InjectRepository(VersionEntity) private readonly versions: Repository<VersionEntity>,
    private readonly lines: LinesService,
    private readonly drafts: DraftsService,
    private readonly hours: HoursService,
    private readonly people: PeopleService,
    private readonly groups: GroupsService,
    private readonly queues: QueuesService,
    private readonly boxes: BoxesService,
    private readonly greetings: GreetingsService,
    private readonly contacts: ContactsService,
    private readonly callerLists: CallerListsService,
    private readonly uses: UsesService,
    private readonly takes: TakesService,
  ) {}

  /** The line's versions, newest first. */
  async list(lineId: LineId): Promise<Version[]> {
    const line = await this.lines.get(lineId);
    const rows = await this.versions.find({ where: { lineId }, order: { number: 'DESC' } });
    return rows.map((row) => summary(row, line.onAirVersionId));
  }

  async get(lineId: LineId, id: VersionId): Promise<WholeVersion> {
    const line = await this.lines.get(lineId);
    const row = await this.row(lineId, id);
    const attendant = storedAttendant(row.attendant);
    const greetings = row.greetings.map((greeting) => ({ ...greeting, take: greeting.take ?? null }));
    return { ...summary(row, line.onAirVersionId), attendant, greetings, takes: row.takes };
  }

  /** Makes a version of the draft and puts it on air, if the proof finds no fault. */
  async putOnAir(lineId: LineId, draftRevision: number): Promise<Version> {
    const draft = await this.drafts.get(lineId);
    if (draft.revision !== draftRevision) throw stale('The draft', draft.revision);
    await this.mustPass(lineId, draft.attendant);
    const used = greetingsUsed(draft.attendant);
    const all = await this.greetings.list();
    const greetings = all
      .filter((greeting) => used.has(greeting.id))
      .map(({ id, name, words, voice, take }) => ({ id, name, words, voice, take }));
    const inGreetings = greetings.flatMap(({ take }) => (take ? [take.takeId] : []));
    const takes = await this.takes.recorded([...takesUsed(draft.attendant), ...inGreetings]);
    const last = await this.versions.findOne({ where: { lineId }, order: { number: 'DESC' } });
    const id = newId(versionId);
    const number = (last?.number ?? 0) + 1;
    // The line turns to the new version only once it is wholly stored: killed in between, the old one stays on air.
    await this.versions.insert({
      id,
      lineId,
      number,
      attendant: draft.attendant as never,
      greetings,
      takes,
      draftRevision,
      onAirAt: Date.now(),
    });
    await this.lines.turnTo(lineId, id);
    return summary(await this.row(lineId, id), id);
  }

  /** Puts an earlier version on air again, if it still passes against the directory as it is now. */
  async putBack(lineId: LineId, id: VersionId): Promise<Version> {
    const row = await this.row(lineId, id);
    await this.mustPass(lineId, storedAttendant(row.attendant), row.greetings);
    await this.versions.update({ id }, { onAirAt: Date.now() });
    await this.lines.turnTo(lineId, id);
    return summary(await this.row(lineId, id), id);
  }

  private async mustPass(lineId: LineId, attendant: Attendant, ownGreetings?: readonly Greeting[]): Promise<void> {
    const line = await this.lines.get(lineId);
    const [hours, people, groups, queues, boxes, greetings, contacts, callerLists, lines] = await Promise.all([
      this.hours.get(line.hoursId),
      this.people.list(),
      this.groups.list(),
      this.queues.list(),
      this.boxes.list(),
      ownGreetings ?? this.greetings.list(),
      this.contacts.list(),
      this.callerLists.list(),
      this.lines.list(),
    ]);
    const today = dayAt(Date.now(), line.timeZone);
    const { number } = line;
    const findings = faultsIn(
      proof({
        attendant,
        number,
        today,
        hours,
        people,
        groups,
        queues,
        boxes,
        greetings,
        contacts,
        callerLists,
        lines,
      }),
    );
    if (findings.length === 0) return;
    const names = await this.uses.names();
    const errors = findings.map((finding) => ({
      at: finding.rule,
      says: `${describeFinding(finding, attendant, names)} ${adviseOn(finding)}`,
    }));
    throw new Problem({
      type: '/problems/faults',
      title: 'Faults',
      status: 422,
      detail: `This cannot go on air yet. ${errors.map((error) => error.says).join(' ')}`,
      errors,
    });
  }

  private async row(lineId: LineId, id: VersionId): Promise<VersionEntity> {
    const row = await this.versions.findOneBy({ id, lineId });
    if (!row) throw notFound('That version');
    return row;
  }
}

function summary(row: VersionEntity, onAirVersionId: VersionId | null): Version {
  const { id, number, onAirAt, draftRevision } = row;
  return { id, number, onAirAt, draftRevision, onAir: id === onAirVersionId };
}
