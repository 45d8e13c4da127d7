import type { BrewPlan } from '@vendu/core';
import { boardScales } from '../board/boardScales';
import { CourseStrip } from '../board/CourseStrip';
import { DrawingBoard } from '../board/DrawingBoard';
import type { BoardForecast } from '../board/forecaster';
import { Fitted } from '../ui/Fitted';

interface RecipeBoardProps {
  plan: BrewPlan;
  behind: BrewPlan | undefined;
  forecast: BoardForecast | null;
  brewerHeightM: number;
  selected: number | null;
  onSelect: (index: number) => void;
  onDrag: (plan: BrewPlan | null) => void;
  onOffer: (plan: BrewPlan) => string | undefined;
}

const BOARD_PX = 250;

/** The staircase to draw on, and under it, on the same clock, what the brewer will do. */
export function RecipeBoard(props: RecipeBoardProps) {
  const { plan, behind, forecast, brewerHeightM } = props;
  const forecastEndS = forecast?.course.atS.at(-1) ?? 0;
  return (
    <Fitted height={BOARD_PX}>
      {(width) => (
        <>
          <div className="bg-raised">
            <DrawingBoard
              {...props}
              startsS={forecast?.startsS}
              width={width}
              height={BOARD_PX}
              forecastEndS={forecastEndS}
            />
          </div>
          {forecast && (
            <CourseStrip
              forecast={forecast}
              scales={boardScales(plan, { width, height: BOARD_PX, behind, forecastEndS })}
              brewerHeightM={brewerHeightM}
            />
          )}
        </>
      )}
    </Fitted>
  );
}
