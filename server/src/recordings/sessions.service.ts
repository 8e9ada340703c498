import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { idKind } from '@locutor/core/id';
import { Repository } from 'typeorm';
import { Clock } from '../clock/clock';
import { invalid, notFound } from '../problems/problem';
import { newId } from '../rows/newId';
import type { AddSessionDto } from './recordings.dto';
import { SessionEntity } from './session.entity';

const sessionId = idKind('session');
/** Older ones make room: what was recorded in them stays. */
const mostSessions = 20;

@Injectable()
export class SessionsService {
  constructor(
    @InjectRepository(SessionEntity) private readonly sessions: Repository<SessionEntity>,
    private readonly clock: Clock,
  ) {}

  /** The newest first. */
  list(): Promise<SessionEntity[]> {
    return this.sessions.find({ order: { madeAt: 'DESC' } });
  }

  async add({ name, places }: AddSessionDto): Promise<SessionEntity> {
    if (places.length === 0) throw invalid([{ at: 'places', says: 'Choose at least one text to record.' }]);
    const session = { id: newId(sessionId), name, places, madeAt: this.clock.now() };
    await this.sessions.insert(session);
    const old = (await this.list()).slice(mostSessions);
    if (old.length > 0) await this.sessions.delete(old.map(({ id }) => id));
    return session;
  }

  async remove(id: string): Promise<void> {
    const { affected } = await this.sessions.delete({ id });
    if (!affected) throw notFound('That session');
  }
}
