import type { Construction } from '@/core/worked/bench/constructions';
import { tyreSpin } from '@/core/physics/tyres/tyreSpin';
import { formatText } from '@/core/base/units/formatQuantity';
import type { ChartLine, ChartPoint } from '@/ui/charts/chartProps';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { Charts } from '../../frame/Guarded';

const MOST = 4;

/** Diameters that were read, over what is typical and over what the readings teach. */
export function DiameterChart({
  constructions,
  wishRpm,
}: {
  constructions: readonly Construction[];
  wishRpm: number | undefined;
}) {
  const { reader } = useReader();
  const shown = constructions.filter(({ growth }) => growth).slice(0, MOST);
  if (shown.length === 0) return null;
  const points = shown.flatMap(({ spins }) =>
    spins.flatMap(({ rpm, diameterMm }): ChartPoint[] =>
      diameterMm === undefined ? [] : [{ x: rpm, y: diameterMm, measured: true }],
    ),
  );
  const most = 1.1 * Math.max(wishRpm ?? 0, ...points.map(({ x }) => x));
  const curve = (id: string, label: string, style: ChartLine['style'], one: Construction): ChartLine => {
    const make = style === 'measured' ? one.learned : { ...one.make, hoopModulusMpa: undefined };
    const at = (tyreSpin({ ...make, rpm: most }).curve ?? []).filter(({ rpm }) => rpm <= most);
    return {
      id,
      label,
      style,
      xs: at.map(({ rpm }) => rpm),
      ys: at.map(({ diameterMm }) => diameterMm),
      labelAt: style === 'measured' ? 0.95 : 0.75,
    };
  };
  const lines = shown.flatMap((one) => [
    curve(`${one.tyre.name} typical`, 'typical', 'predictedQuiet', one),
    ...(one.fitted.modulusMpa === undefined ? [] : [curve(one.tyre.name, one.tyre.name, 'measured', one)]),
  ]);
  const ys = [...points.map(({ y }) => y), ...lines.flatMap((line) => line.ys)];
  const [low, high] = [Math.min(...ys), Math.max(...points.map(({ y }) => y))];
  return (
    <Charts>
      <LineChart
        title="Diameter with the turns of the wheel"
        testId="diameter-chart"
        width={720}
        height={240}
        xQuantity="rpm"
        yQuantity="lengthMm"
        yName="diameter"
        lines={lines}
        points={points}
        xMax={most}
        yMin={low - 1}
        yMax={high + 0.3 * (high - low) + 1}
        uprights={
          wishRpm === undefined
            ? []
            : [
                {
                  x: wishRpm,
                  label: `this car, ${formatText(Math.round(wishRpm / 10) * 10, 'rpm', reader, 5)}`,
                },
              ]
        }
        summary={`Diameters of ${shown.map(({ tyre }) => tyre.name).join(', ')} over the turns of the wheel.`}
      />
    </Charts>
  );
}
