import { Body, Controller, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { groupId, type GroupId } from '@locutor/core/directory';
import { newId } from '../rows/newId';
import { RowsController } from '../rows/rows.controller';
import { AddGroupDto, ChangeGroupDto } from './group.dto';
import type { GroupEntity } from './group.entity';
import { GroupsService } from './groups.service';

@ApiTags('Directory')
@Controller('api/groups')
export class GroupsController extends RowsController<GroupId, GroupEntity, GroupsService> {
  constructor(groups: GroupsService) {
    super(groups);
  }

  /** Adds a group; what is not said is as it is for most: all at once, on the phones on their desks, no hours of its own. */
  @Post()
  add(@Body() body: AddGroupDto): Promise<GroupEntity> {
    return this.rows.addGroup(newId(groupId), body);
  }

  @Patch(':id')
  change(@Param('id') id: GroupId, @Body() { revision, ...changes }: ChangeGroupDto): Promise<GroupEntity> {
    return this.rows.changeGroup(id, revision, changes);
  }
}
