import { Body, Controller, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { boxId, type BoxId } from '@locutor/core/directory';
import { newId } from '../rows/newId';
import { RowsController } from '../rows/rows.controller';
import { AddBoxDto, ChangeBoxDto } from './box.dto';
import type { BoxEntity } from './box.entity';
import { BoxesService } from './boxes.service';

@ApiTags('Directory')
@Controller('api/boxes')
export class BoxesController extends RowsController<BoxId, BoxEntity, BoxesService> {
  constructor(boxes: BoxesService) {
    super(boxes);
  }

  /** Adds a box; what is not said is as it is for most: nobody's own, a beep, two minutes, nobody told. */
  @Post()
  add(@Body() body: AddBoxDto): Promise<BoxEntity> {
    return this.rows.addBox(newId(boxId), body);
  }

  @Patch(':id')
  change(@Param('id') id: BoxId, @Body() { revision, ...changes }: ChangeBoxDto): Promise<BoxEntity> {
    return this.rows.changeBox(id, revision, changes);
  }
}
