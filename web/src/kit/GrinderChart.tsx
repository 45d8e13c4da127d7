import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { grinderCurve, NINE_OF_TEN, type MeasuredPoint } from '@vendu/core';
import { Notice } from '../ui/Notice';

/** The fitted curve of a grinder with its band, and the points it was fitted to. */
export function GrinderChart({ name, points }: { name: string; points: readonly MeasuredPoint[] }) {
  const curve = grinderCurve({ points });
  if (!curve.ok) return <Notice tone="alarm">{curve.message}</Notice>;
  const rows = curve.value.points.map(({ setting, grindUm, sdUm }) => ({
    setting,
    grindUm,
    band: [grindUm - NINE_OF_TEN * sdUm, grindUm + NINE_OF_TEN * sdUm],
  }));
  const sizes = rows.flatMap(({ band }) => band);
  const low = Math.floor(Math.min(...sizes) / 100) * 100;
  const high = Math.ceil(Math.max(...sizes) / 100) * 100;
  return (
    <figure
      role="img"
      aria-label={`Curve of ${name}: ${rows.map(({ setting, grindUm }) => `${Math.round(grindUm)} µm at ${setting}`).join(', ')}`}
    >
      <div aria-hidden className="h-52">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart
            accessibilityLayer={false}
            data={rows}
            margin={{ top: 8, right: 12, bottom: 4, left: 0 }}
          >
            <CartesianGrid stroke="var(--color-rule)" vertical={false} />
            <XAxis
              dataKey="setting"
              type="number"
              domain={['dataMin', 'dataMax']}
              tick={{ fontSize: 11, fill: 'var(--color-quiet)', fontFamily: 'var(--font-readings)' }}
              stroke="var(--color-ink)"
            />
            <YAxis
              domain={[low, high]}
              width={48}
              unit=""
              tick={{ fontSize: 11, fill: 'var(--color-quiet)', fontFamily: 'var(--font-readings)' }}
              stroke="var(--color-rule)"
            />
            <Area
              dataKey="band"
              stroke="none"
              fill="var(--color-time)"
              fillOpacity={0.14}
              isAnimationActive={false}
            />
            <Line
              dataKey="grindUm"
              stroke="var(--color-ink)"
              strokeWidth={1.75}
              dot={false}
              isAnimationActive={false}
            />
            <Scatter data={[...points]} dataKey="grindUm" fill="var(--color-ink)" isAnimationActive={false} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="caption">
        Size in µm against the setting; 9 in 10 true sizes lie inside the band.
        {curve.value.averagedSettings.length > 0 &&
          ` Settings ${curve.value.averagedSettings.join(', ')} contradicted each other and were averaged.`}
      </figcaption>
    </figure>
  );
}
