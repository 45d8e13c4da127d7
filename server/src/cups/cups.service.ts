import { Injectable } from '@nestjs/common';
import { subHours } from 'date-fns';
import { Op } from 'sequelize';
import { CUP_IS_GONE_H, markedDrainS, TASTING_STAGES } from '@vendu/core';
import type { CupOnTable, CupView } from '@vendu/contract';
import { lotInCup } from '../brews/brew-views.js';
import { BrewModel } from '../brews/brew.model.js';
import { sheetsSeenBy } from '../brews/sheets-seen.js';
import { tastingView } from '../brews/tasting-views.js';
import { TastingModel } from '../brews/tasting.model.js';
import { KitService } from '../kit/kit.service.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { LotModel } from '../lots/lot.model.js';
import { PersonModel } from '../people/person.model.js';
import { notFound } from '../problem/problem-error.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';

const STANDING_SINCE = () => subHours(new Date(), CUP_IS_GONE_H);

/** What of a brew its tasters need: the cup, and no recipe or figure. */
@Injectable()
export class CupsService {
  constructor(private readonly kit: KitService) {}

  /** The cups that stand on the table now, newest first. */
  async onTheTable(taster: PersonModel): Promise<CupOnTable[]> {
    const brews = await BrewModel.findAll({
      where: { startedAt: { [Op.gt]: STANDING_SINCE() }, setAsideAt: null, isSimulated: false },
      include: [{ model: TastingModel, include: [PersonModel] }],
      order: [
        ['startedAt', 'DESC'],
        ['id', 'DESC'],
      ],
    });
    return Promise.all(
      brews.map(async (brew) => {
        const cup = await this.named(brew);
        return {
          ...cup,
          lot: withoutLabel(cup.lot),
          stagesSent: TASTING_STAGES.filter((stage) =>
            brew.tastings.some((sheet) => sheet.stage === stage && sheet.tastedBy === taster.id),
          ),
        };
      }),
    );
  }

  async read(id: number, taster: PersonModel): Promise<CupView> {
    const brew = await this.brewBefore(id, taster);
    const [cup, seen] = await Promise.all([
      this.named(brew),
      sheetsSeenBy(taster.id, brew, brew.tastings.map(tastingView)),
    ]);
    const lot = seen.open.length > 0 ? cup.lot : withoutLabel(cup.lot);
    return { ...cup, lot, tastings: seen.open, sealedSheets: seen.sealed };
  }

  /** A brew whose cup somebody may taste: a guest one that stands on the table, or that he tasted. */
  async brewBefore(id: number, { id: personId, role }: PersonModel): Promise<BrewModel> {
    const brew = await BrewModel.findByPk(id, { include: [{ model: TastingModel, include: [PersonModel] }] });
    if (!brew) throw notFound('brew');
    const isOnTable = brew.startedAt > STANDING_SINCE() && brew.setAsideAt === null;
    const isMine = brew.tastings.some(({ tastedBy }) => tastedBy === personId);
    if (role === 'taster' && !isOnTable && !isMine) throw notFound('cup');
    return brew;
  }

  private async named(brew: BrewModel): Promise<Omit<CupOnTable, 'stagesSent'>> {
    const [lot, { brewer }, number, { roomC }] = await Promise.all([
      LotModel.findByPk(brew.lotId, { rejectOnEmpty: true }),
      recipeOf(brew),
      numberInLot(brew),
      this.kit.house(),
    ]);
    const drainedS = markedDrainS(brew) ?? brew.plan.drawdownS;
    return {
      id: brew.id,
      number,
      lot: lotInCup(lot),
      brewerName: brewer.name,
      startedAt: brew.startedAt.toISOString(),
      drainedAt: new Date(brew.startedAt.getTime() + drainedS * 1000).toISOString(),
      roomC,
    };
  }
}

/** What the label promises is not to be read into a cup: it comes with the first sheet that may be seen. */
function withoutLabel(lot: CupView['lot']): CupView['lot'] {
  return { ...lot, labelNotes: [] };
}

async function recipeOf({ recipeVersionId }: BrewModel): Promise<RecipeModel> {
  const { recipeId } = await RecipeVersionModel.findByPk(recipeVersionId, { rejectOnEmpty: true });
  return RecipeModel.findByPk(recipeId, { include: [BrewerModel], rejectOnEmpty: true });
}

/** Brews of a lot count in the order brewed. */
function numberInLot({ id, lotId, startedAt }: BrewModel): Promise<number> {
  return BrewModel.count({
    where: {
      lotId,
      [Op.or]: [{ startedAt: { [Op.lt]: startedAt } }, { startedAt, id: { [Op.lte]: id } }],
    },
  });
}
