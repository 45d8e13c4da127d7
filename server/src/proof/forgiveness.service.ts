import { Injectable } from '@nestjs/common';
import { recordedBrew } from '@vendu/core';
import { readBrewsOf } from '@vendu/contract';
import { Computation } from '../computation/computation.js';
import { KitService } from '../kit/kit.service.js';
import type { Forgiving } from './proof-reader.js';

/** Brews of a run: enough for the share to a few of a hundred. */
const BREWS = 200;

/** How a version comes out in other hands, by the model and what the recipe's brews taught it. */
@Injectable()
export class ForgivenessService {
  constructor(
    private readonly kit: KitService,
    private readonly computation: Computation,
  ) {}

  /** @returns the share of brews that give the same cup; `null` where the model cannot say */
  async shareInside({ recipe, version: { plan }, brews }: Forgiving): Promise<number | null> {
    const [brewer, paper] = await Promise.all([
      this.kit.brewer(recipe.brewerId),
      this.kit.paper(recipe.paperId),
    ]);
    const kit = await this.kit.brewKit(brewer, paper);
    const measured = readBrewsOf(brews).map((brew) => recordedBrew(brew, kit));
    const learned = await this.computation.run('calibrateLot', { brews: measured });
    if (!learned.ok) return null;
    const { factors } = learned.value;
    const forgiven = await this.computation.run('forgiveness', { plan, kit, factors, count: BREWS });
    return forgiven.ok ? forgiven.value.insideShare : null;
  }
}
