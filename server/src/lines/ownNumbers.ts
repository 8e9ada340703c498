import { Injectable } from '@nestjs/common';
import { countryOf, showPhoneNumber, type Country, type E164 } from '@locutor/core/directory';
import { conflict } from '../problems/problem';
import { LinesService } from './lines.service';

/** What the business's own numbers tell: their country, and where calls cannot be sent outside. */
@Injectable()
export class OwnNumbers {
  constructor(private readonly lines: LinesService) {}

  /** The country of the business, in which numbers are read that do not say their own: that of its first line. */
  async country(): Promise<Country | undefined> {
    const [first] = await this.lines.list();
    return first && countryOf(first);
  }

  /** @throws Problem 409 when it is the number of a line: a call sent there would come round to itself. */
  async mustNotBe(number: E164): Promise<void> {
    const line = (await this.lines.list()).find((each) => each.number === number);
    if (!line) return;
    throw conflict(
      `${showPhoneNumber(number)} is the number of ${line.name} itself: a call sent there would come round again. Type another number.`,
    );
  }
}
