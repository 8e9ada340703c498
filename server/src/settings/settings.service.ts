import { aloneLimits } from '@locutor/core/proof';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { noRates, ratesProblem } from '@locutor/core/cost';
import { usualOutgoing } from '@locutor/core/directory';
import { usualHoldMusic } from '@locutor/core/line';
import { noReport, savedSpanProblem } from '@locutor/core/traffic';
import { Repository } from 'typeorm';
import { Foresight } from '../foresight/foresight';
import { invalid } from '../problems/problem';
import { changeRevision } from '../rows/changeRevision';
import { definedOf } from '../rows/definedOf';
import type { ChangeSettingsDto } from './settings.dto';
import { SettingsEntity } from './settings.entity';

const id = 'business';
const usual = {
  id,
  mailHost: '',
  mailPort: 587,
  mailSecure: false,
  mailUser: '',
  mailPassword: '',
  mailFrom: 'voicemail@locutor.example',
  keepCallsDays: 365,
  keepDeletedDays: 30,
  keepSpokenDays: 90,
  mostSpokenMegabytes: 500,
  mostAloneSeconds: aloneLimits.usual,
  holdMusic: usualHoldMusic,
  outgoing: usualOutgoing,
  rates: noRates,
  budget: null,
  savedSpans: [],
  report: noReport,
  revision: 1,
} as const;

@Injectable()
export class SettingsService {
  constructor(
    @InjectRepository(SettingsEntity) private readonly settings: Repository<SettingsEntity>,
    private readonly foresight: Foresight,
  ) {}

  async get(): Promise<SettingsEntity> {
    return (await this.settings.findOneBy({ id })) ?? this.settings.create({ ...usual });
  }

  /** @throws Problem 409 when they were changed since; 422 when rate cards or spans make no sense. */
  async change({ revision, ...changes }: ChangeSettingsDto): Promise<SettingsEntity> {
    const ofRates = changes.rates && ratesProblem(changes.rates);
    if (ofRates) throw invalid([{ at: 'rates', says: ofRates }]);
    for (const span of changes.savedSpans ?? []) {
      const problem = savedSpanProblem(span);
      if (problem) throw invalid([{ at: 'savedSpans', says: problem }]);
    }
    if (changes.outgoing) await this.foresight.mustNotBreak({ outgoing: changes.outgoing });
    await this.settings
      .createQueryBuilder()
      .insert()
      .values({ ...usual })
      .orIgnore()
      .execute();
    const sent = definedOf(changes) as Partial<SettingsEntity>;
    return changeRevision<SettingsEntity>(this.settings, { id }, revision, sent, 'The settings');
  }

  async mailPassword(): Promise<string> {
    const kept = await this.settings.findOne({ where: { id }, select: { id: true, mailPassword: true } });
    return kept?.mailPassword ?? '';
  }
}
