import Box from '@mui/material/Box';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Row } from '@/ui/layout/Row';
import { COLOUR_WORDS, CUT_WORDS } from '@/words/checks/carLook';
import { Choice } from '../../fields/fields';
import { type CarLook, COLOURED_BY, type ColouredBy, CUT_AXIS, type Cut, CUTS } from './carLook';
import spaceCss from './space.module.css';

interface LookBarProps {
  look: CarLook;
  /** Lowest and highest place of the car along each axis, mm. */
  extent: readonly (readonly [low: number, high: number])[];
  /** Whether gears stand in it. */
  geared: boolean;
  onLook(look: CarLook): void;
}

/** How the car is looked at: by which colours, through, cut, and taken apart. */
export function LookBar({ look, extent, geared, onLook }: LookBarProps) {
  const change = (to: Partial<CarLook>) => onLook({ ...look, ...to });
  const [low, high] = look.cut === 'none' ? [0, 0] : extent[CUT_AXIS[look.cut]]!;
  const cutTo = (cut: Cut) => {
    const [from, to] = cut === 'none' ? [0, 0] : extent[CUT_AXIS[cut]]!;
    change({ cut, cutMm: cut === 'lengthwise' ? 0 : Math.round((from + to) / 2) });
  };
  return (
    <>
      <Row sx={{ columnGap: 4 }}>
        <Box sx={{ flex: '0 1 250px' }}>
          <Choice
            id="look-by"
            label="Coloured by"
            value={look.by}
            disabled={false}
            options={COLOURED_BY.map((by) => [by, COLOUR_WORDS[by].label] as const)}
            onChange={(by) => change({ by: by as ColouredBy })}
          />
        </Box>
        <Box sx={{ flex: '0 1 210px' }}>
          <Choice
            id="look-cut"
            label="Shown"
            value={look.cut}
            disabled={false}
            options={CUTS.map((cut) => [cut, CUT_WORDS[cut]] as const)}
            onChange={(cut) => cutTo(cut as Cut)}
          />
        </Box>
        <Toggles label="Looked at">
          <Toggle size="small" pressed={look.xray} onPress={() => change({ xray: !look.xray })}>
            See through
          </Toggle>
        </Toggles>
      </Row>
      {COLOUR_WORDS[look.by].legend.length > 0 ? (
        <ul className={spaceCss.legend} aria-label="What the colours stand for">
          {COLOUR_WORDS[look.by].legend.map(([ink, words]) => (
            <li key={ink} data-ink={ink}>
              {words}
            </li>
          ))}
        </ul>
      ) : null}
      <Box className={spaceCss.sliders}>
        {look.cut === 'none' ? null : (
          <QuantitySlider
            label="Cut at"
            quantity="lengthMm"
            value={look.cutMm}
            min={Math.floor(low)}
            max={Math.ceil(high)}
            step={1}
            onChange={(cutMm) => change({ cutMm })}
          />
        )}
        <QuantitySlider
          label="Taken apart"
          quantity="share"
          value={look.apart}
          min={0}
          max={1}
          step={0.05}
          onChange={(apart) => change({ apart })}
        />
        {geared ? (
          <QuantitySlider
            label="Wheels turned"
            quantity="angleDeg"
            value={look.turnDeg}
            min={0}
            max={360}
            step={1}
            onChange={(turnDeg) => change({ turnDeg })}
          />
        ) : null}
      </Box>
    </>
  );
}
