import '@/words/later/bringIn';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { useEffect, useState } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import type { Part } from '@/core/car/parts/parts';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import type { Vec3 } from '@/core/base/vec3';
import { QuantityField } from '@/ui/QuantityField';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';
import type { SplitPieces } from '@/workers/print.worker';
import { sentenceOf } from '../api';
import { handOver } from '../session/handOver';
import { workerOf } from '@/workers/clients';
import { printFileOf } from './printFile';
import { problemOf, refusalText } from '@/words/refusals/problemOf';
import { sayAll } from '@/words/findings';

const AXES = ['x', 'y', 'z'] as const;
const USUAL_PIN_MM = 3;

/** Cuts a part at a plane with holes for pins, and hands the two pieces over. */
export function SplitTool({
  document,
  part,
  onClose,
}: {
  document: BuildDocument;
  part: Part;
  onClose(): void;
}) {
  const { reader } = useReader();
  const [box, setBox] = useState<{ min: Vec3; max: Vec3 }>();
  const [axis, setAxis] = useState<0 | 1 | 2>(0);
  const [at, setAt] = useState<number>();
  const [pinMm, setPin] = useState<number | undefined>(USUAL_PIN_MM);
  const [found, setFound] = useState<SplitPieces>();
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    let current = true;
    void (async () => {
      try {
        const bounds = await workerOf('print').bounds(await printFileOf(document, part.id));
        if (!current) return;
        if ('refused' in bounds) return setProblem(`The mesh ${problemOf(bounds.refused, reader).message}.`);
        setBox(bounds);
        const sizes = ([0, 1, 2] as const).map((one) => bounds.max[one] - bounds.min[one]);
        setAxis(sizes.indexOf(Math.max(...sizes)) as 0 | 1 | 2);
      } catch (error) {
        if (current) setProblem(sentenceOf(error));
      }
    })();
    return () => {
      current = false;
    };
  }, [document, part.id, reader]);
  const [low, high] = box ? [box.min[axis], box.max[axis]] : [0, 1];
  const plane = at !== undefined && at > low && at < high ? at : (low + high) / 2;
  const cut = async () => {
    setProblem(undefined);
    setFound(undefined);
    try {
      const answer = await workerOf('print').split(await printFileOf(document, part.id), {
        axis,
        atMm: plane,
        ...(pinMm ? { pinMm } : {}),
      });
      if ('refused' in answer) setProblem(`The mesh ${refusalText(answer.refused, reader)}.`);
      else setFound(answer);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const take = (index: 0 | 1) =>
    handOver(
      `${part.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${index + 1}.stl`,
      'model/stl',
      new Uint8Array(found!.files[index]),
    );
  return (
    <Note sx={{ maxWidth: 560 }} role="group" aria-label={`Split ${part.name}`}>
      <Row>
        <Box component="b" sx={{ flex: 1 }}>
          Split {part.name.toLowerCase()}
        </Box>
        <IconAct icon="takeOut" label="Close the cut" onClick={onClose} />
      </Row>
      <Row>
        Across its own{' '}
        <Toggles label="Axis of the cut">
          {AXES.map((name, index) => (
            <Toggle
              size="small"
              key={name}
              pressed={axis === index}
              onPress={() => {
                setAxis(index as 0 | 1 | 2);
                setAt(undefined);
                setFound(undefined);
              }}
            >
              {name}
            </Toggle>
          ))}
        </Toggles>
      </Row>
      {box ? (
        <QuantitySlider
          label="Cut at"
          quantity="lengthMm"
          value={plane}
          min={low + (high - low) / 100}
          max={high - (high - low) / 100}
          step={(high - low) / 200}
          onChange={(value) => {
            setAt(value);
            setFound(undefined);
          }}
        />
      ) : null}
      <QuantityField
        label="Pins across the cut"
        quantity="lengthMm"
        limits={{ above: 0, to: 20 }}
        value={pinMm}
        onChange={(value) => {
          setPin(value);
          setFound(undefined);
        }}
      />
      <Row sx={{ mt: 0.75 }}>
        <Button variant="contained" disabled={!box} onClick={() => void cut()}>
          Split it
        </Button>
        {found
          ? ([0, 1] as const).map((index) => (
              <Button key={index} onClick={() => take(index)}>
                Piece {index + 1}, STL
              </Button>
            ))
          : null}
      </Row>
      {found ? (
        <p data-testid="split">
          Two closed pieces of {formatNumber(found.volumesMm3[0] / 1000, reader.locale)} and{' '}
          {formatNumber(found.volumesMm3[1] / 1000, reader.locale)}&nbsp;cm³,{' '}
          {found.pinsMm.length === 0
            ? 'no pin holes'
            : `${found.pinsMm.length} pin holes of ${formatText(pinMm!, 'lengthMm', reader)}, each 8\u00a0mm deep`}
          . {sayAll(found.notes, reader)} Glue them, or let the pins be drawn by the fits page.
        </p>
      ) : null}
      {problem ? (
        <Typography color="error" role="alert">
          {problem}
        </Typography>
      ) : null}
    </Note>
  );
}
