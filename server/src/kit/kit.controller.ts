import { Body, Controller, Delete, Get, Param, Post, Put } from '@nestjs/common';
import {
  BrewerDto,
  FeederDto,
  GrinderDto,
  HouseChecklistDto,
  HouseDto,
  InstrumentDto,
  KettleDto,
  PaperDto,
  SchoolsDto,
  SieveDto,
  StatedSettingDto,
  WaterDto,
  ZeroCheckDto,
  type KitView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { LeadOnly, SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { KitService } from './kit.service.js';

/** Every change answers with the whole kit: it is small, and its parts name each other. */
@Controller('kit')
export class KitController {
  constructor(private readonly service: KitService) {}

  @Get()
  read(): Promise<KitView> {
    return this.service.kit();
  }

  @Post('papers')
  addPaper(@Body() paper: PaperDto, @RequestKey() request: RequestKeyOf | null): Promise<KitView> {
    return this.service.savePaper(null, paper, request);
  }

  @Put('papers/:id')
  changePaper(@Param('id', IdPipe) id: number, @Body() paper: PaperDto): Promise<KitView> {
    return this.service.savePaper(id, paper);
  }

  @Post('brewers')
  addBrewer(@Body() brewer: BrewerDto, @RequestKey() request: RequestKeyOf | null): Promise<KitView> {
    return this.service.saveBrewer(null, brewer, request);
  }

  @Put('brewers/:id')
  changeBrewer(@Param('id', IdPipe) id: number, @Body() brewer: BrewerDto): Promise<KitView> {
    return this.service.saveBrewer(id, brewer);
  }

  @Post('grinders')
  addGrinder(@Body() grinder: GrinderDto, @RequestKey() request: RequestKeyOf | null): Promise<KitView> {
    return this.service.saveGrinder(null, grinder, request);
  }

  @Put('grinders/:id')
  changeGrinder(@Param('id', IdPipe) id: number, @Body() grinder: GrinderDto): Promise<KitView> {
    return this.service.saveGrinder(id, grinder);
  }

  @Post('kettles')
  addKettle(@Body() kettle: KettleDto, @RequestKey() request: RequestKeyOf | null): Promise<KitView> {
    return this.service.saveKettle(null, kettle, request);
  }

  @Put('kettles/:id')
  changeKettle(@Param('id', IdPipe) id: number, @Body() kettle: KettleDto): Promise<KitView> {
    return this.service.saveKettle(id, kettle);
  }

  @Post('sieves')
  addSieve(@Body() sieve: SieveDto, @RequestKey() request: RequestKeyOf | null): Promise<KitView> {
    return this.service.saveSieve(null, sieve, request);
  }

  @Put('sieves/:id')
  changeSieve(@Param('id', IdPipe) id: number, @Body() sieve: SieveDto): Promise<KitView> {
    return this.service.saveSieve(id, sieve);
  }

  @Delete('sieves/:id')
  removeSieve(@Param('id', IdPipe) id: number): Promise<KitView> {
    return this.service.removeSieve(id);
  }

  @Post('feeders')
  addFeeder(@Body() feeder: FeederDto, @RequestKey() request: RequestKeyOf | null): Promise<KitView> {
    return this.service.saveFeeder(null, feeder, request);
  }

  @Put('feeders/:id')
  changeFeeder(@Param('id', IdPipe) id: number, @Body() feeder: FeederDto): Promise<KitView> {
    return this.service.saveFeeder(id, feeder);
  }

  @Delete('feeders/:id')
  removeFeeder(@Param('id', IdPipe) id: number): Promise<KitView> {
    return this.service.removeFeeder(id);
  }

  @Post('stated-settings')
  addStatedSetting(
    @Body() stated: StatedSettingDto,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<KitView> {
    return this.service.saveStatedSetting(null, stated, request);
  }

  @Put('stated-settings/:id')
  changeStatedSetting(@Param('id', IdPipe) id: number, @Body() stated: StatedSettingDto): Promise<KitView> {
    return this.service.saveStatedSetting(id, stated);
  }

  @Delete('stated-settings/:id')
  removeStatedSetting(@Param('id', IdPipe) id: number): Promise<KitView> {
    return this.service.removeStatedSetting(id);
  }

  @Post('waters')
  addWater(@Body() water: WaterDto, @RequestKey() request: RequestKeyOf | null): Promise<KitView> {
    return this.service.saveWater(null, water, request);
  }

  @Put('waters/:id')
  changeWater(@Param('id', IdPipe) id: number, @Body() water: WaterDto): Promise<KitView> {
    return this.service.saveWater(id, water);
  }

  @Post('instruments')
  addInstrument(
    @Body() instrument: InstrumentDto,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<KitView> {
    return this.service.saveInstrument(null, instrument, request);
  }

  @Put('instruments/:id')
  changeInstrument(@Param('id', IdPipe) id: number, @Body() instrument: InstrumentDto): Promise<KitView> {
    return this.service.saveInstrument(id, instrument);
  }

  @Post('instruments/:id/zero-checks')
  addZeroCheck(
    @Param('id', IdPipe) id: number,
    @Body() check: ZeroCheckDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<KitView> {
    return this.service.addZeroCheck(id, check, person, request);
  }

  @Put('house')
  @LeadOnly()
  changeHouse(@Body() house: HouseDto): Promise<KitView> {
    return this.service.saveHouse(house);
  }

  @Put('schools')
  @LeadOnly()
  changeSchools(@Body() schools: SchoolsDto): Promise<KitView> {
    return this.service.saveSchools(schools);
  }

  @Put('checklist')
  @LeadOnly()
  changeChecklist(@Body() checklist: HouseChecklistDto): Promise<KitView> {
    return this.service.saveChecklist(checklist);
  }
}
