import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { Box, BoxId } from '@locutor/core/directory';
import { Repository } from 'typeorm';
import { ExtensionsService } from '../extensions/extensions.service';
import { GreetingsService } from '../greetings/greetings.service';
import { PeopleService } from '../people/people.service';
import { invalid } from '../problems/problem';
import { definedOf } from '../rows/definedOf';
import { RowsService } from '../rows/rows.service';
import { UsesService } from '../uses/uses.service';
import { newBox, type AddBoxDto, type ChangeBoxDto } from './box.dto';
import { BoxEntity } from './box.entity';
import { BoxPinsService } from './boxPins.service';

@Injectable()
export class BoxesService extends RowsService<BoxId, BoxEntity> {
  protected override readonly listed = 'boxes';
  protected override readonly uniquelyNamed = 'box';

  constructor(
    @InjectRepository(BoxEntity) boxes: Repository<BoxEntity>,
    uses: UsesService,
    private readonly greetings: GreetingsService,
    private readonly people: PeopleService,
    private readonly extensions: ExtensionsService,
    private readonly pins: BoxPinsService,
  ) {
    super(boxes, uses);
  }

  async addBox(id: BoxId, { pin, ...body }: AddBoxDto): Promise<BoxEntity> {
    if (body.code && !pin) throw noPin(body.name);
    const box = await this.add({ ...newBox, name: body.name, ...definedOf(body), id });
    if (pin) await this.pins.set(id, pin);
    return box;
  }

  async changeBox(
    id: BoxId,
    revision: number,
    { pin, ...changes }: Omit<ChangeBoxDto, 'revision'>,
  ): Promise<BoxEntity> {
    if (changes.code && !pin && !(await this.pins.boxes()).has(id)) throw noPin((await this.get(id)).name);
    const box = await this.change(id, revision, changes);
    if (pin) await this.pins.set(id, pin);
    return box;
  }

  protected async check(box: Box): Promise<void> {
    const { greetingId, ownerId, tell, code } = box;
    if (greetingId) await this.greetings.get(greetingId);
    if (ownerId) await this.people.get(ownerId);
    for (const { personId } of tell) await this.people.get(personId);
    await this.extensions.codeMustBeFree(code, box);
  }
}

function noPin(name: string): Error {
  return invalid([
    { at: 'pin', says: `${name} needs a PIN of 4 to 8 digits, so that not everybody can hear its messages.` },
  ]);
}
