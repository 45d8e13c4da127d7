import { Resvg } from '@resvg/resvg-js';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { renderToStaticMarkup } from 'react-dom/server';
import {
  firstKettleC,
  formatDuration,
  formatRatio,
  planAllWaterG,
  planRatio,
  staircase,
  type StaircasePoint,
} from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import { FONT_FILES } from './fonts.js';
import { HUE } from './sheet.js';

const WORDS = 'Schibsted Grotesk';
const READINGS = 'Spline Sans Mono';
/** What those who show links ask for. */
const WIDTH = 1200;
const HEIGHT = 630;
const EDGE = 70;
/** A name of so many letters stands in the large type. */
const LONG_NAME = 22;

/** The picture that stands beside a link to a card: its name, its figures and its staircase. */
export function previewPng({ card }: { card: PublicRecipeView }): Promise<Buffer> {
  const svg = renderToStaticMarkup(<Preview card={card} />);
  const drawn = new Resvg(svg, {
    font: { fontFiles: Object.values(FONT_FILES), loadSystemFonts: false, defaultFontFamily: WORDS },
  });
  return Promise.resolve(Buffer.from(drawn.render().asPng()));
}

function Preview({ card }: { card: PublicRecipeView }) {
  const { plan } = card;
  const points = staircase({ pours: plan.pours, endS: plan.drawdownS });
  const topG = points.at(-1)?.totalG ?? 1;
  const [top, floor] = [300, HEIGHT - EDGE];
  const x = scaleLinear([0, plan.drawdownS], [EDGE, WIDTH - EDGE]);
  const y = scaleLinear([0, topG], [floor, top]);
  const path = line<StaircasePoint>(
    ({ atS }) => x(atS),
    ({ totalG }) => y(totalG),
  )(points);
  const figures = [
    { words: `${plan.doseG} g : ${planAllWaterG(plan)} g`, hue: HUE.water, at: 0 },
    { words: formatRatio(planRatio(plan)), hue: HUE.water, at: 390 },
    { words: `${firstKettleC(plan)} °C`, hue: HUE.temperature, at: 590 },
    { words: formatDuration(plan.drawdownS), hue: HUE.time, at: 790 },
  ];
  return (
    <svg xmlns="http://www.w3.org/2000/svg" width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`}>
      <rect width={WIDTH} height={HEIGHT} fill="#f4f7f6" />
      <path
        d={`${path ?? ''}L${x(plan.drawdownS)},${floor}L${EDGE},${floor}Z`}
        fill={HUE.water}
        fillOpacity={0.08}
      />
      <path d={path ?? ''} fill="none" stroke={HUE.water} strokeWidth={7} strokeLinejoin="round" />
      <line x1={EDGE} x2={WIDTH - EDGE} y1={floor} y2={floor} stroke={HUE.ink} strokeWidth={2} />
      <text x={EDGE} y={96} fontFamily={WORDS} fontSize={30} fill={HUE.quiet}>
        {card.houseName}, {card.brewerName}
      </text>
      <text
        x={EDGE}
        y={178}
        fontFamily={WORDS}
        fontSize={card.lotName.length > LONG_NAME ? 48 : 76}
        fontWeight={700}
        fill={HUE.ink}
      >
        {card.lotName}
      </text>
      {figures.map(({ words, hue, at }) => (
        <text
          key={words}
          x={EDGE + at}
          y={246}
          fontFamily={READINGS}
          fontSize={42}
          fontWeight={600}
          fill={hue}
        >
          {words}
        </text>
      ))}
    </svg>
  );
}
