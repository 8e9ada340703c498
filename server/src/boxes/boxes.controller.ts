import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { boxId, type BoxId } from '@locutor/core/directory';
import { newId } from '../rows/newId';
import { AddBoxDto, ChangeBoxDto } from './box.dto';
import type { BoxEntity } from './box.entity';
import { BoxesService } from './boxes.service';

@ApiTags('Directory')
@Controller('api/boxes')
export class BoxesController {
  constructor(private readonly boxes: BoxesService) {}

  @Get()
  list(): Promise<BoxEntity[]> {
    return this.boxes.list();
  }

  @Post()
  add(@Body() body: AddBoxDto): Promise<BoxEntity> {
    return this.boxes.add({ id: newId(boxId), ...body });
  }

  @Patch(':id')
  change(@Param('id') id: BoxId, @Body() { revision, ...changes }: ChangeBoxDto): Promise<BoxEntity> {
    return this.boxes.change(id, revision, changes);
  }

  /** Refused with its uses while the draft or what is on air still needs it. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: BoxId): Promise<void> {
    return this.boxes.remove(id);
  }

  /** Takes a deletion back. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: BoxId): Promise<BoxEntity> {
    return this.boxes.restore(id);
  }
}
