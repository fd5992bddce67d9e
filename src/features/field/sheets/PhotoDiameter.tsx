import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { FileButton } from '@/ui/controls/FileButton';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';

const USUAL_SCALE_MM = 50;
const STEP = 0.1;

/** A diameter read off a photograph: two lines on a scale of known length, two on the tyre, in one distance from the lens. */
export function PhotoDiameter({ onRead }: { onRead(diameterMm: number): void }) {
  const { reader } = useReader();
  const [photo, setPhoto] = useState<string>();
  const [scale, setScale] = useState<number[]>([10, 30]);
  const [tyre, setTyre] = useState<number[]>([40, 90]);
  const [scaleMm, setScaleMm] = useState<number>();
  useEffect(() => () => (photo ? URL.revokeObjectURL(photo) : undefined), [photo]);
  const [across, known] = [tyre[1]! - tyre[0]!, scale[1]! - scale[0]!];
  const diameterMm = known > 0 && across > 0 ? ((scaleMm ?? USUAL_SCALE_MM) * across) / known : undefined;
  return (
    <Box component="section" aria-label="Diameter off a photograph" sx={{ mt: 1 }}>
      <FileButton
        variant="link"
        label="Photograph of the spinning tyre"
        accept="image/*"
        onFiles={([file]) => setPhoto(URL.createObjectURL(file!))}
      >
        Read it off a photograph
      </FileButton>
      {photo ? (
        <>
          <Slider
            aria-label="Ends of the scale"
            value={scale}
            step={STEP}
            getAriaLabel={(index) => (index === 0 ? 'Left end of the scale' : 'Right end of the scale')}
            onChange={(_, value) => setScale(value as number[])}
          />
          <svg viewBox="0 0 100 66" width="100%" role="img" aria-label="Photograph with lines over it">
            <image href={photo} x="0" y="0" width="100" height="66" preserveAspectRatio="xMidYMid meet" />
            {scale.map((x, k) => (
              <line key={`s${k}`} x1={x} x2={x} y1="0" y2="33" stroke="var(--slate)" strokeWidth="0.5" />
            ))}
            {tyre.map((x, k) => (
              <line key={`t${k}`} x1={x} x2={x} y1="0" y2="66" stroke="var(--rust)" strokeWidth="0.5" />
            ))}
          </svg>
          <Slider
            value={tyre}
            step={STEP}
            getAriaLabel={(index) => (index === 0 ? 'Left edge of the tyre' : 'Right edge of the tyre')}
            onChange={(_, value) => setTyre(value as number[])}
          />
          <QuantityField
            label="Length of the scale"
            quantity="lengthMm"
            limits={{ above: 0, to: 2000 }}
            value={scaleMm}
            usual={USUAL_SCALE_MM}
            onChange={setScaleMm}
          />
          <Typography variant="small" color="textSecondary">
            Hold the scale beside the wheel, as far from the lens as the tread, and stand well back.
          </Typography>
          <Button disabled={diameterMm === undefined} onClick={() => onRead(diameterMm!)}>
            {diameterMm === undefined
              ? 'Set the lines'
              : `Take ${formatText(diameterMm, 'lengthMm', reader, 4)}`}
          </Button>
        </>
      ) : null}
    </Box>
  );
}
