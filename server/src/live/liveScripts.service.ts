import { countryOf, type Country } from '@locutor/core/directory';
import { Injectable } from '@nestjs/common';
import type { CallScript } from '@locutor/core/call';
import type { E164, GroupId } from '@locutor/core/directory';
import type { LineId } from '@locutor/core/line';
import { GroupsService } from '../groups/groups.service';
import { LinesService } from '../lines/lines.service';
import { ScriptsService } from '../trials/scripts.service';

/** What a number leads to. */
export interface Reached {
  readonly lineId: LineId;
  readonly lineName: string;
  readonly versionId: string | null;
  /** A group whose direct number it is. */
  readonly groupId: GroupId | null;
}

interface Dialled {
  readonly lines: Awaited<ReturnType<LinesService['list']>>;
  readonly groups: Awaited<ReturnType<GroupsService['list']>>;
}

/** What is on air, as calls find it; read again whenever something was changed. */
@Injectable()
export class LiveScripts {
  private readonly scripts = new Map<LineId, Promise<CallScript>>();
  /** Whom numbers lead to; null until somebody calls after a change. */
  private dialled: Promise<Dialled> | null = null;

  constructor(
    private readonly from: ScriptsService,
    private readonly lines: LinesService,
    private readonly groups: GroupsService,
  ) {}

  forget(): void {
    this.scripts.clear();
    this.dialled = null;
  }

  /** @throws Problem 409 when nothing is on air on the line yet. */
  of(lineId: LineId): Promise<CallScript> {
    const known = this.scripts.get(lineId);
    if (known) return known;
    const script = this.from.of(lineId, 'onAir');
    this.scripts.set(lineId, script);
    script.catch(() => this.scripts.delete(lineId));
    return script;
  }

  /** The directory as it is now, as the first line on air sees it, or the first draft before anything is on air. */
  async world(): Promise<CallScript | undefined> {
    const lines = await this.lines.list();
    const onAir = lines.find(({ onAirVersionId }) => onAirVersionId);
    if (onAir) return this.of(onAir.id);
    return lines[0] && this.from.of(lines[0].id, 'draft');
  }

  /** The country in which numbers are dialled that do not say their own. */
  async country(): Promise<Country | undefined> {
    const [first] = (await this.numbers()).lines;
    return first && countryOf(first);
  }

  /** Read once for all who call until something changes. */
  private numbers(): Promise<Dialled> {
    const known = this.dialled;
    if (known) return known;
    const read = Promise.all([this.lines.list(), this.groups.list()]).then(([lines, groups]) => ({ lines, groups }));
    this.dialled = read;
    read.catch(() => (this.dialled = null));
    return read;
  }

  /** What a number leads to; undefined when it is not one of the business's. */
  async reached(number: E164): Promise<Reached | undefined> {
    const { lines, groups } = await this.numbers();
    const group = groups.find(({ directNumber }) => directNumber === number);
    const line = lines.find((each) => each.number === number) ?? (group && lines.find((each) => each.onAirVersionId));
    return (
      line && {
        lineId: line.id,
        lineName: group?.name ?? line.name,
        versionId: line.onAirVersionId,
        groupId: group?.id ?? null,
      }
    );
  }
}
