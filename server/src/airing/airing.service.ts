import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { spokenFacts, type CallScript } from '@locutor/core/call';
import {
  greetingsUsed,
  takesUsed,
  type Attendant,
  type Greeting,
  type LineId,
  type RecordedTake,
} from '@locutor/core/line';
import { isSame } from '@locutor/core/merging';
import { sheetSentences } from '@locutor/core/speech';
import { DataSource, type EntityManager } from 'typeorm';
import { Clock } from '../clock/clock';
import { DraftsService } from '../drafts/drafts.service';
import { storedAttendant } from '../drafts/storedAttendant';
import { LineEntity } from '../lines/line.entity';
import { LinesService } from '../lines/lines.service';
import { LiveLine } from '../live/liveLine.service';
import { log } from '../log/log';
import type { Stages } from '../problems/answerInStages';
import { conflict, stale } from '../problems/problem';
import type { ReadAs } from '../proof/subjects.service';
import { RehearsalsService } from '../rehearsals/rehearsals.service';
import { Reckoning } from '../reckoning/reckoning.module';
import { newId } from '../rows/newId';
import { SpeechService } from '../speech/speech.service';
import { ScriptsService, type StandIn } from '../trials/scripts.service';
import { UsesService } from '../uses/uses.service';
import { AiringEntity, type AiredHow } from '../versions/airing.entity';
import type { KeptDirectory } from '../versions/keptDirectory';
import { VersionEntity } from '../versions/version.entity';
import { versionId, type VersionId } from '../versions/versionId';
import { VersionsService, type Version } from '../versions/versions.service';
import { AiringCheck, type Standing } from './airingCheck.service';
import type { PutBackDto, PutOnAirDto } from './airing.dto';
import { PlannedAiringEntity } from './plannedAiring.entity';

/** How far putting on air has come. */
export const airingStages = ['proof', 'rehearsals', 'speaking', 'storing', 'onAir'] as const;
export type AiringStage = (typeof airingStages)[number];

interface Candidate {
  readonly is: StandIn;
  readonly draftRevision: number;
  /** The version that it has been already; left out where one is made of it. */
  readonly version?: VersionEntity;
  readonly how: AiredHow;
  readonly by: string;
  readonly note: string;
  /** What must still be on air; undefined for whatever is. */
  readonly replaces?: VersionId | null | undefined;
}

/** Puts versions on air, one after the other: whatever happens, a line is wholly on the old or wholly on the new one. */
@Injectable()
export class AiringService {
  private before: Promise<unknown> = Promise.resolve();

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly lines: LinesService,
    private readonly drafts: DraftsService,
    private readonly versions: VersionsService,
    private readonly check: AiringCheck,
    private readonly rehearsals: RehearsalsService,
    private readonly scripts: ScriptsService,
    private readonly speech: SpeechService,
    private readonly uses: UsesService,
    private readonly live: LiveLine,
    private readonly clock: Clock,
    private readonly reckoning: Reckoning,
  ) {}

  /** Makes a version of the draft and puts it on air. @throws Problem 409, 422 when it may not go there. */
  putOnAir(lineId: LineId, asked: PutOnAirDto, stages?: Stages<AiringStage>): Promise<Version> {
    return this.oneByOne(async () => {
      const draft = await this.drafts.get(lineId);
      if (draft.revision !== asked.draftRevision) throw stale('The draft', draft.revision);
      const { by = '', note = '', yes = [], replaces, draftRevision } = asked;
      await this.check.accept(lineId, yes, by || 'somebody');
      const candidate = { is: ofDraft(draft.attendant), draftRevision, how: 'now', by, note, replaces } as const;
      return this.air(lineId, candidate, stages);
    });
  }

  /** Puts what was planned on air, with the directory as it is now. @throws Problem when it no longer may. */
  putPlannedOnAir(planned: PlannedAiringEntity): Promise<Version> {
    const { lineId, draftRevision, by, note } = planned;
    return this.oneByOne(async () => {
      if (planned.versionId) {
        return this.air(lineId, {
          ...(await this.earlier(lineId, planned.versionId)),
          how: 'putBackPlanned',
          by,
          note,
        });
      }
      const is = ofDraft(storedAttendant(planned.attendant));
      return this.air(lineId, { is, draftRevision, how: 'planned', by, note });
    });
  }

  /** Puts an earlier version back on air, as a draft is put there. @throws Problem 409, 422 when it may not go there. */
  putBack(lineId: LineId, id: VersionId, asked: PutBackDto, stages?: Stages<AiringStage>): Promise<Version> {
    return this.oneByOne(async () => {
      const { by = '', note = '', yes = [], replaces } = asked;
      await this.check.accept(lineId, yes, by || 'somebody');
      const candidate = { ...(await this.earlier(lineId, id)), how: 'putBack', by, note, replaces } as const;
      return this.air(lineId, candidate, stages);
    });
  }

  /** What stands between an earlier version and going back on air, with the directory as it is now, and how many rehearsals were run. */
  async lookAt(lineId: LineId, id: VersionId): Promise<Standing & { readonly rehearsals: number }> {
    const { is } = await this.earlier(lineId, id);
    const standing = await this.standing(lineId, is);
    return { ...standing, rehearsals: (await this.rehearsals.list(lineId)).length };
  }

  /** Whether something may go on air at a time. @throws Problem 422 with what stands in the way. */
  async mustPass(lineId: LineId, is: StandIn, atMs: number): Promise<void> {
    await this.check.mustPass(await this.standing(lineId, is, atMs));
  }

  private async standing(lineId: LineId, is: StandIn, atMs?: number): Promise<Standing> {
    const findings = await this.check.findings(lineId, is.attendant, readAs(is, atMs));
    return { findings, broken: await this.check.broken(lineId, await this.scripts.of(lineId, 'draft', is)) };
  }

  private async earlier(lineId: LineId, id: VersionId): Promise<Pick<Candidate, 'is' | 'draftRevision' | 'version'>> {
    const [version, is] = [await this.versions.row(lineId, id), await this.versions.get(lineId, id)];
    return { version, is, draftRevision: version.draftRevision };
  }

  private async air(lineId: LineId, candidate: Candidate, stages?: Stages<AiringStage>): Promise<Version> {
    const { is, version } = candidate;
    const { attendant } = is;
    const line = await this.lines.get(lineId);
    await this.mustReplace(line, candidate);
    stages?.tell?.('proof');
    const findings = await this.check.findings(lineId, attendant, readAs(is));
    stages?.tell?.('rehearsals');
    const script = await this.scripts.of(lineId, 'draft', is);
    const broken = await this.check.broken(lineId, script);
    await this.check.mustPass({ findings, broken });
    const greetings = version ? version.greetings : greetingsOf(script, attendant);
    const takes = usedTakes(version ? version.takes : script.takes, attendant, greetings);
    await this.mustDiffer(line, attendant, greetings, takes);
    stages?.tell?.('speaking');
    await this.speakAhead(script, stages?.signal);
    stages?.tell?.('storing');
    const runs = await this.rehearsals.run(lineId, script);
    const names = await this.uses.names();
    const id = version?.id ?? newId(versionId);
    const at = this.clock.now();
    const aired = {
      onAirAt: at,
      firstCalls: [...(await this.reckoning.of('firstCalls', { script, atMs: at, names }))],
      firstCallsAt: at,
      firstCallsNumber: line.number,
    };
    const whole = {
      id,
      lineId,
      attendant: attendant as never,
      greetings: [...greetings],
      takes: [...takes, ...textTakes(script)],
      directory: directoryOf(script, names),
      draftRevision: candidate.draftRevision,
      ...aired,
    };
    // All in one: killed at any moment, the line is wholly on the old version or wholly on the new one.
    await this.database.transaction(async (rows) => {
      const last = await rows.findOne(VersionEntity, { where: { lineId }, order: { number: 'DESC' } });
      if (version) await rows.update(VersionEntity, { id }, aired as never);
      else await rows.insert(VersionEntity, { ...whole, number: (last?.number ?? 0) + 1 } as never);
      await turn(rows, lineId, id, { at, ...candidate });
      if (candidate.how === 'planned' || candidate.how === 'putBackPlanned')
        await rows.delete(PlannedAiringEntity, { lineId });
    });
    await this.rehearsals.keepRuns(lineId, runs);
    this.live.directoryChanged();
    stages?.tell?.('onAir');
    return this.told(lineId, id);
  }

  /** @throws Problem 409 when somebody else has put another version on air meanwhile. */
  private async mustReplace({ id, onAirVersionId }: LineEntity, { replaces }: Candidate): Promise<void> {
    if (replaces === undefined || replaces === onAirVersionId) return;
    const version = onAirVersionId ? await this.versions.get(id, onAirVersionId) : null;
    const who = version?.airings[0]?.by || 'Somebody';
    const what = version ? `version ${version.number}` : 'another version';
    throw conflict(`${who} has put ${what} on air meanwhile. Look at what changes now, then put it on air again.`);
  }

  /** @throws Problem 409 when this very thing is on air already. */
  private async mustDiffer(
    { id, onAirVersionId }: LineEntity,
    attendant: Attendant,
    greetings: readonly Greeting[],
    takes: readonly RecordedTake[],
  ): Promise<void> {
    if (!onAirVersionId) return;
    const onAir = await this.versions.get(id, onAirVersionId);
    const [now, then] = [
      { attendant, greetings, takes },
      {
        attendant: onAir.attendant,
        greetings: onAir.greetings,
        // Those of single texts are in step with the directory, which is the same on air.
        takes: usedTakes(onAir.takes, onAir.attendant, onAir.greetings),
      },
    ];
    if (!isSame(now, then)) return;
    const who = onAir.airings[0]?.by;
    throw conflict(`This is on air already, as version ${onAir.number}${who ? `, put there by ${who}` : ''}.`);
  }

  /** Has everything spoken that the first callers hear, so that they do not wait for it. */
  private async speakAhead(script: CallScript, signal?: AbortSignal): Promise<void> {
    const line = script.lines.find(({ id }) => id === script.lineId);
    if (!line) return;
    const facts = spokenFacts(script, line, this.clock.now());
    for (const sheet of line.attendant.sheets) {
      if (signal?.aborted) throw conflict('It was given up before it was on air. Nothing has changed for callers.');
      const sentences = sheetSentences(sheet, line.attendant.voice, facts).filter(({ recorded }) => !recorded);
      const voice = sheet.voice ?? line.attendant.voice;
      // A voice that fails must not keep what is right from going on air: calls go on in silence there, as ever.
      await this.speech
        .speakAll(
          voice,
          sentences.map(({ text }) => text),
        )
        .catch((error: unknown) => {
          log.error({ err: error, lineId: script.lineId, sheetId: sheet.id }, 'A sheet could not be spoken ahead');
        });
    }
  }

  private async told(lineId: LineId, id: VersionId): Promise<Version> {
    const version = (await this.versions.list(lineId)).find((each) => each.id === id);
    if (!version) throw new Error(`Version ${id} was put on air and is not there`);
    return version;
  }

  /** One after the other: the second of two sees what the first has put on air. */
  private oneByOne<Result>(work: () => Promise<Result>): Promise<Result> {
    const next = this.before.then(work);
    this.before = next.catch(() => undefined);
    return next;
  }
}

/** The draft says what is in the library and its recordings as they are now. */
const ofDraft = (attendant: Attendant): StandIn => ({ attendant, greetings: [], takes: [] });

/** A version is read with the greetings that it has kept. */
function readAs({ greetings }: StandIn, atMs?: number): ReadAs {
  return { ...(greetings.length > 0 && { ownGreetings: greetings }), ...(atMs !== undefined && { atMs }) };
}

async function turn(
  rows: EntityManager,
  lineId: LineId,
  id: VersionId,
  { at, by, note, how }: Pick<AiringEntity, 'at' | 'by' | 'note' | 'how'>,
): Promise<void> {
  await rows.update(LineEntity, { id: lineId }, { onAirVersionId: id });
  await rows.insert(AiringEntity, { lineId, versionId: id, at, by, note, how });
}

/** The library greetings that an attendant says, as they are now; those of other lines on air come after and are left. */
function greetingsOf(script: CallScript, attendant: Attendant): readonly Greeting[] {
  const used = greetingsUsed(attendant);
  const found = new Map<string, Greeting>();
  for (const { id, name, words, voice, take } of script.greetings) {
    if (used.has(id) && !found.has(id)) found.set(id, { id, name, words, voice, take });
  }
  return [...found.values()];
}

/** Those of the recordings that an attendant and its greetings are heard from. */
function usedTakes(
  takes: readonly RecordedTake[],
  attendant: Attendant,
  greetings: readonly Greeting[],
): readonly RecordedTake[] {
  return takesWith(takes, [...takesUsed(attendant), ...greetings.flatMap(({ take }) => (take ? [take.takeId] : []))]);
}

/** Those that single texts are heard from. */
function textTakes({ takes, recordings = [] }: CallScript): readonly RecordedTake[] {
  return takesWith(
    takes,
    recordings.map(({ take }) => take.takeId),
  );
}

function takesWith(takes: readonly RecordedTake[], ids: readonly RecordedTake['id'][]): readonly RecordedTake[] {
  const used = new Set(ids);
  return [...new Map(takes.filter(({ id }) => used.has(id)).map((take) => [take.id, take])).values()];
}

function directoryOf(script: CallScript, names: KeptDirectory['names']): KeptDirectory {
  const { people, groups, queues, boxes, contacts, callerLists, hours, holdMusic, recordings = [] } = script;
  const line = script.lines.find(({ id }) => id === script.lineId);
  if (!line) throw new Error('The script has no such line');
  const rows = { people, groups, queues, boxes, contacts, callerLists, hours, holdMusic, recordings };
  return { ...rows, names, lineHours: line.hours };
}
