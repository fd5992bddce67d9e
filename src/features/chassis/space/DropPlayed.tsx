import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { DropMoment } from '@/core/worked/space/dropOfCar';
import { StillNeeds } from '@/features/fields/StillNeeds';
import { LineChart } from '@/ui/charts/LineChart';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { Row } from '@/ui/layout/Row';
import { useReader } from '@/ui/reader';
import { dropPeaks, dropWords } from '@/words/checks/carLook';
import { type PlayedDrop, SLOWED } from './useDrop';
import spaceCss from './space.module.css';

const MS_PER_S = 1000;
const HIGHEST_M = 2;

/** A landing on four wheels in slow motion, with what each tyre pushes. */
export function DropPlayed({ drop }: { drop: PlayedDrop }) {
  const { reader } = useReader();
  const { dropM, setDropM, found, index, show, playing, play } = drop;
  if (!found.ok) return <StillNeeds missing={found.missing} />;
  const { moments } = found.value;
  const now = moments[index]!;
  const xs = moments.map(({ tS }) => MS_PER_S * tS);
  const line = (id: 'front' | 'rear', of: (moment: DropMoment) => number) => ({
    id,
    label: `a ${id} tyre`,
    style: id === 'front' ? ('predicted' as const) : ('predictedQuiet' as const),
    xs,
    ys: moments.map(of),
  });
  const lines = [line('front', ({ tyreN }) => tyreN.front), line('rear', ({ tyreN }) => tyreN.rear)];
  return (
    <>
      <div className={spaceCss.sliders}>
        <QuantitySlider
          label="Dropped from"
          quantity="distanceM"
          value={dropM}
          min={0}
          max={HIGHEST_M}
          step={0.05}
          onChange={setDropM}
        />
        <QuantitySlider
          label="After touch-down"
          quantity="millis"
          value={MS_PER_S * now.tS}
          min={0}
          max={xs.at(-1)!}
          step={xs[1] ?? 1}
          onChange={(ms) => show(Math.round((ms / (xs.at(-1)! || 1)) * (moments.length - 1)))}
        />
      </div>
      <Row>
        <Button onClick={play} disabled={playing}>
          Play it {SLOWED} times slower
        </Button>
        <Typography data-testid="drop-now">{dropWords(now, reader)}</Typography>
      </Row>
      <LineChart
        title="What the tyres push"
        xQuantity="millis"
        xName="after touch-down"
        yQuantity="forceN"
        xMax={xs.at(-1)!}
        yMax={1.1 * Math.max(1, ...lines.flatMap(({ ys }) => ys))}
        lines={lines}
        uprights={[{ x: MS_PER_S * now.tS, label: 'shown' }]}
        width={620}
        height={220}
        summary={dropPeaks(found.value, reader)}
        testId="drop-forces"
      />
    </>
  );
}
