import { Body, Controller, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { boxId, type BoxId } from '@locutor/core/directory';
import { definedOf } from '../rows/definedOf';
import { newId } from '../rows/newId';
import { RowsController } from '../rows/rows.controller';
import { AddBoxDto, ChangeBoxDto, newBox } from './box.dto';
import type { BoxEntity } from './box.entity';
import { BoxesService } from './boxes.service';

@ApiTags('Directory')
@Controller('api/boxes')
export class BoxesController extends RowsController<BoxId, BoxEntity> {
  constructor(boxes: BoxesService) {
    super(boxes);
  }

  /** Adds a box; what is not said is as it is for most: nobody's own, a beep, two minutes, nobody told. */
  @Post()
  add(@Body() body: AddBoxDto): Promise<BoxEntity> {
    return this.rows.add({ ...newBox, name: body.name, ...definedOf(body), id: newId(boxId) });
  }

  @Patch(':id')
  change(@Param('id') id: BoxId, @Body() { revision, ...changes }: ChangeBoxDto): Promise<BoxEntity> {
    return this.rows.change(id, revision, changes);
  }
}
