import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { outcomeOf, type TranscriptEntry } from '@locutor/core/call';
import { AudioStore } from '../audio/audioStore';
import type { CallEntity } from '../callLog/call.entity';
import { CallLog } from '../callLog/callLog.service';
import { log } from '../log/log';
import { MessagesService } from '../messages/messages.service';
import { Reckoning } from '../reckoning/reckoning.module';
import { dataFolder } from '../storage/dataFolder';
import { lastAlive } from './alive';
import { readTake, removeTake, takesLeft, type TakeHeader } from './take';

const shortestTakeMs = 1000;

/** Ends cleanly what a killed server left: calls as cut off, and what was recorded is kept. */
@Injectable()
export class LeftTakes {
  private readonly folder: string;

  constructor(
    @Inject(dataFolder) folder: string,
    private readonly callLog: CallLog,
    private readonly messages: MessagesService,
    private readonly audio: AudioStore,
    private readonly reckoning: Reckoning,
  ) {
    this.folder = join(folder, 'takes');
  }

  async finish(): Promise<void> {
    await this.callLog.endCut(lastAlive(this.folder));
    for (const header of takesLeft(this.folder)) {
      // One that cannot be kept now stays for the next start, and keeps nobody from calling.
      await this.finishOne(header).catch((err: unknown) =>
        log.error({ err }, 'A recording that was left was not kept'),
      );
    }
    await this.callLog.write();
  }

  private async finishOne(header: TakeHeader): Promise<void> {
    const sound = await this.reckoning.of('spoken', readTake(this.folder, header.id));
    const call = await this.callLog.get(header.callId);
    if (sound.lengthMs >= shortestTakeMs) {
      if (header.of.type === 'message') {
        const { boxId, tell } = header.of;
        const { callerNumber, startedAt } = header;
        const message = { boxId, tell, callerNumber, leftAt: startedAt, words: '' };
        const kept = await this.messages.keep(header.id, message, sound);
        if (call) this.callLog.put(withMessage(call, kept.id, header));
      } else if (header.of.type === 'call' && call) {
        const recordingId = await this.audio.keep(sound.wav);
        this.callLog.put({ ...call, recordingId, recordingMs: sound.lengthMs });
      }
    }
    removeTake(this.folder, header.id);
  }
}

/** A call that was cut while a message was spoken: the message was kept, and that is what came of the call. */
function withMessage(call: CallEntity, messageId: string, { of, startedAt }: TakeHeader): CallEntity {
  if (of.type !== 'message') return call;
  const cut = call.transcript.findLastIndex(({ type }) => type === 'ended');
  const at = cut < 0 ? call.transcript.length : cut;
  const atMs = call.transcript[at]?.atMs ?? startedAt;
  const kept: TranscriptEntry = { type: 'message', atMs, boxId: of.boxId, lengthMs: atMs - startedAt, kept: true };
  const transcript = [...call.transcript.slice(0, at), kept, ...call.transcript.slice(at)];
  return { ...call, messageId: messageId as CallEntity['messageId'], transcript, outcome: outcomeOf(transcript) };
}
