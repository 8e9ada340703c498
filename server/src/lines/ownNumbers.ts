import { Injectable } from '@nestjs/common';
import { showPhoneNumber, type E164 } from '@locutor/core/directory';
import { conflict } from '../problems/problem';
import { LinesService } from './lines.service';

/** Keeps the business's own numbers out of the places where calls are sent outside. */
@Injectable()
export class OwnNumbers {
  constructor(private readonly lines: LinesService) {}

  /** @throws Problem 409 when it is the number of a line: a call sent there would come round to itself. */
  async mustNotBe(number: E164): Promise<void> {
    const line = (await this.lines.list()).find((each) => each.number === number);
    if (!line) return;
    throw conflict(
      `${showPhoneNumber(number)} is the number of ${line.name} itself: a call sent there would come round again. Type another number.`,
    );
  }
}
