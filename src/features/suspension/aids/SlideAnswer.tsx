import clsx from 'clsx';
import Typography from '@mui/material/Typography';
import { slideLimits } from '@/core/physics/aids/slideLimits';
import { askedDegPerS, soonestGain } from '@/core/physics/aids/yawAssist';
import type { YawInput, YawResult } from '@/core/physics/aids/yawDefinition';
import figuresCss from '@/ui/Figure.module.css';
import { useReader } from '@/ui/reader';
import { slideLimitsSentence, slideSentence, soonestSentence } from '@/words/driving/slide';

/** Whether the slide is held. */
export function SlideAnswer({ study, input }: { study: YawResult | undefined; input: YawInput }) {
  const { reader } = useReader();
  if (!study?.slide) return <Typography variant="answer">Being worked out…</Typography>;
  return (
    <Typography variant="answer">
      {input.gyro.holds ? 'It ' : 'A gyro that damps '}
      <span
        className={clsx(figuresCss.figure, study.slide.held ? figuresCss.plainfig : figuresCss.over)}
        data-testid="slide-found"
      >
        {slideSentence(study.slide, askedDegPerS(input), reader)}
      </span>
      .
    </Typography>
  );
}

/** How far a slide could be held. */
export function SlideRoom({ study, input }: { study: YawResult | undefined; input: YawInput }) {
  const { reader } = useReader();
  const soonest = input.gyro.holds && study ? soonestGain(study.sweep) : undefined;
  return (
    <Typography color="textSecondary" data-testid="slide-limits">
      {slideLimitsSentence(slideLimits(input), reader)}
      {soonest === undefined ? '' : ` ${soonestSentence(soonest, reader)}`}
    </Typography>
  );
}
