import { Body, Controller, Delete, Get, Param, ParseEnumPipe, Put } from '@nestjs/common';
import { PROOF_CHECKS, type ProofCheckId } from '@vendu/core';
import { RecipeChecklistDto, SignOffDto, WaiverDto, type ProofView, type RecipeView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { LeadOnly, SignedIn } from '../session/access.js';
import { notFound } from '../problem/problem-error.js';
import { ProofService } from './proof.service.js';

const CHECK_PIPE = new ParseEnumPipe(Object.fromEntries(PROOF_CHECKS.map((check) => [check, check])), {
  exceptionFactory: () => notFound('check'),
});

@Controller()
export class ProofController {
  constructor(private readonly service: ProofService) {}

  @Get('recipe-versions/:versionId/proof')
  view(@Param('versionId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<ProofView> {
    return this.service.view(id, person);
  }

  @Put('recipes/:recipeId/checklist')
  @LeadOnly()
  setChecklist(
    @Param('recipeId', IdPipe) id: number,
    @Body() checklist: RecipeChecklistDto,
  ): Promise<RecipeView> {
    return this.service.setChecklist(id, checklist);
  }

  @Put('recipe-versions/:versionId/waivers/:check')
  @LeadOnly()
  waive(
    @Param('versionId', IdPipe) id: number,
    @Param('check', CHECK_PIPE) check: ProofCheckId,
    @Body() waiver: WaiverDto,
    @SignedIn() person: PersonModel,
  ): Promise<ProofView> {
    return this.service.waive(id, check, waiver, person);
  }

  @Delete('recipe-versions/:versionId/waivers/:check')
  @LeadOnly()
  takeWaiverBack(
    @Param('versionId', IdPipe) id: number,
    @Param('check', CHECK_PIPE) check: ProofCheckId,
    @SignedIn() person: PersonModel,
  ): Promise<ProofView> {
    return this.service.takeWaiverBack(id, check, person);
  }

  @Put('recipe-versions/:versionId/sign-off')
  @LeadOnly()
  signOff(
    @Param('versionId', IdPipe) id: number,
    @Body() signOff: SignOffDto,
    @SignedIn() person: PersonModel,
  ): Promise<RecipeView> {
    return this.service.signOff(id, signOff, person);
  }

  /** One's own name goes on the card of a version. */
  @Put('recipe-versions/:versionId/signature')
  putNameOn(@Param('versionId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<RecipeView> {
    return this.service.putNameOn(id, person);
  }

  @Delete('recipe-versions/:versionId/signature')
  takeNameOff(@Param('versionId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<RecipeView> {
    return this.service.takeNameOff(id, person);
  }

  @Delete('recipe-versions/:versionId/sign-off')
  @LeadOnly()
  takeSignOffBack(@Param('versionId', IdPipe) id: number): Promise<RecipeView> {
    return this.service.takeSignOffBack(id);
  }
}
