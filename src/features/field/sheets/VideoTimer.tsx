import sheetsCss from '@/features/field/sheets/sheets.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { FileButton } from '@/ui/controls/FileButton';
import { Note } from '@/ui/controls/Note';
import { Problem } from '@/ui/controls/Problem';
import Button from '@mui/material/Button';
import { Fold } from '@/ui/controls/Fold';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { timingSpeed } from '@/core/physics/timing/timingSpeed';
import { formatNumber, formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';

interface VideoTimerProps {
  distanceM: number | undefined;
  /** Frames between the marks, and frames a second of real time. */
  onFrames(frames: number, captureFps: number): void;
  onDistance(distanceM: number): void;
}

const [USUAL_PLAY_FPS, FAST] = [30, 10];

/** A local video, frame by frame: it is never sent anywhere. */
export function VideoTimer({ distanceM, onFrames, onDistance }: VideoTimerProps) {
  const { reader } = useReader();
  const video = useRef<HTMLVideoElement>(null);
  const [url, setUrl] = useState<string>();
  const [playFps, setPlayFps] = useState<number | undefined>(USUAL_PLAY_FPS);
  const [slowed, setSlowed] = useState<number | undefined>(1);
  const [frame, setFrame] = useState(0);
  const [marks, setMarks] = useState<{ start?: number; end?: number }>({});
  const [spacings, setSpacings] = useState<number>();
  const [spacingM, setSpacing] = useState<number>();
  const [problem, setProblem] = useState<string>();
  useEffect(
    () => () => {
      if (url) URL.revokeObjectURL(url);
    },
    [url],
  );
  const fps = playFps ?? USUAL_PLAY_FPS;
  const open = (file: File | undefined) => {
    if (!file) return;
    setProblem(undefined);
    setUrl(URL.createObjectURL(file));
    setFrame(0);
    setMarks({});
  };
  const to = (next: number) => {
    const last = Math.max(0, Math.floor((video.current?.duration || 0) * fps) - 1);
    const at = Math.min(Math.max(0, next), last);
    setFrame(at);
    // the middle of a frame, so that rounding shows no neighbour
    if (video.current) video.current.currentTime = (at + 0.5) / fps;
  };
  const onKey = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (step === 0 || (event.target as HTMLElement).tagName === 'INPUT') return;
    event.preventDefault();
    to(frame + step * (event.shiftKey ? FAST : 1));
  };
  const { start, end } = marks;
  const frames = start !== undefined && end !== undefined && end > start ? end - start : undefined;
  const captureFps = fps * (slowed ?? 1);
  const timed =
    frames === undefined || distanceM === undefined
      ? undefined
      : timingSpeed({ distanceM, frames, captureFps });
  return (
    <section aria-label="Video timing" onKeyDown={onKey}>
      <Row>
        <FileButton label="Video file" accept="video/*" onFiles={([file]) => open(file)}>
          {url ? 'Another video' : 'Choose a video'}
        </FileButton>
        <Typography component="span" color="textSecondary">
          it stays on this device
        </Typography>
      </Row>
      <Problem>{problem}</Problem>
      {url ? (
        <>
          <video
            ref={video}
            src={url}
            muted
            playsInline
            preload="auto"
            className={sheetsCss.video}
            onLoadedMetadata={() => to(0)}
            onError={() => {
              setUrl(undefined);
              setProblem('This browser cannot show that video: save it as MP4 (H.264) or WebM.');
            }}
          />
          <Row sx={{ justifyContent: 'center', mt: 0.5 }} role="group" aria-label="Step through the video">
            <Button aria-label="Ten frames back" onClick={() => to(frame - FAST)}>
              −10
            </Button>
            <Button size="large" aria-label="One frame back" onClick={() => to(frame - 1)}>
              −1
            </Button>
            <Typography variant="reading" data-testid="frame">
              frame {formatNumber(frame, reader.locale, 6)}
            </Typography>
            <Button size="large" aria-label="One frame on" onClick={() => to(frame + 1)}>
              +1
            </Button>
            <Button aria-label="Ten frames on" onClick={() => to(frame + FAST)}>
              +10
            </Button>
          </Row>
          <QuantityField
            label="The clip plays, frames a second"
            quantity="count"
            limits={{ above: 0, to: 10_000 }}
            value={playFps}
            onChange={(value) => {
              setPlayFps(value);
              setMarks({});
            }}
          />
          <QuantityField
            label="Slowed down by"
            quantity="coefficient"
            limits={{ above: 0, to: 1000 }}
            value={slowed}
            onChange={setSlowed}
          />
          <Box className={sheetsCss.counter} sx={{ mt: 0.75 }}>
            <Button size="large" onClick={() => setMarks({ ...marks, start: frame })}>
              At the start line{start === undefined ? '' : `: ${start}`}
            </Button>
            <Button size="large" onClick={() => setMarks({ ...marks, end: frame })}>
              At the end line{end === undefined ? '' : `: ${end}`}
            </Button>
          </Box>
          <Fold title="Lines by counting what lies on the ground">
            <QuantityField
              label="Paving stones, fence posts passed"
              quantity="count"
              limits={{ from: 1, to: 10_000 }}
              value={spacings}
              onChange={setSpacings}
            />
            <QuantityField
              label="Each is"
              quantity="distanceM"
              limits={{ above: 0, to: 1000 }}
              value={spacingM}
              onChange={setSpacing}
            />
            <Button
              disabled={!spacings || !spacingM}
              onClick={() => onDistance(Number((spacings! * spacingM!).toFixed(3)))}
            >
              Take it as the distance
            </Button>
          </Fold>
          {start !== undefined && end !== undefined && end <= start ? (
            <Note tone="bad" role="alert">
              The end line comes before the start line: mark them again.
            </Note>
          ) : null}
          {frames === undefined ? null : (
            <Row sx={{ mt: 0.75 }} data-testid="video-time">
              {frames} frames, {formatText(frames / captureFps, 'timeS', reader)}
              {timed ? (
                <>
                  : <b>{formatWithError(timed.speedMps, timed.errorMps, 'speedMps', reader)}</b>
                </>
              ) : null}{' '}
              <Button
                variant="contained"
                onClick={() => {
                  onFrames(frames, captureFps);
                  setMarks({});
                }}
              >
                Take it as an attempt
              </Button>
            </Row>
          )}
        </>
      ) : null}
    </section>
  );
}
