import { Body, Controller, Get, Module, Patch } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ChangeSettingsDto } from './settings.dto';
import { SettingsEntity } from './settings.entity';
import { SettingsService } from './settings.service';

@ApiTags('Settings')
@Controller('api/settings')
export class SettingsController {
  constructor(private readonly settings: SettingsService) {}

  /** Without the password. */
  @Get()
  get(): Promise<SettingsEntity> {
    return this.settings.get();
  }

  @Patch()
  change(@Body() body: ChangeSettingsDto): Promise<SettingsEntity> {
    return this.settings.change(body);
  }
}

@Module({
  imports: [TypeOrmModule.forFeature([SettingsEntity])],
  controllers: [SettingsController],
  providers: [SettingsService],
  exports: [SettingsService],
})
export class SettingsModule {}
