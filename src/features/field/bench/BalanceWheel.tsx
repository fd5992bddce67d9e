import Box from '@mui/material/Box';
import type { MeasuredBalance } from '@/core/car/records/benchReport';
import type { BalanceRunResult } from '@/core/physics/bench/balanceRun';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';

const [SIZE, RIM, HUB] = [320, 112, 22];
const MIDDLE = SIZE / 2;
const TICKS = 12;

const at = (angleDeg: number, radius: number) => {
  const angle = (angleDeg * Math.PI) / 180;
  return { x: MIDDLE + radius * Math.sin(angle), y: MIDDLE - radius * Math.cos(angle) };
};

/** The wheel with its marks: where it is heavy, where the weight goes, and what each place shook. */
export function BalanceWheel({ measured, found }: { measured: MeasuredBalance; found: BalanceRunResult }) {
  const { reader } = useReader();
  const angle = (value: number) => `${formatNumber(value, reader.locale, 3)}°`;
  const weights = found.split ?? [{ angleDeg: found.correctionAngleDeg, massG: found.correctionG }];
  const heavy = at(found.heavyAngleDeg, RIM - 18);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', my: 1 }}>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        width={SIZE}
        role="img"
        aria-label={`Heavy at ${angle(found.heavyAngleDeg)}; ${weights.map(({ angleDeg, massG }) => `${formatText(massG, 'massG', reader, 2)} at ${angle(angleDeg)}`).join(' and ')}`}
      >
        <circle cx={MIDDLE} cy={MIDDLE} r={RIM} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="9" />
        <circle cx={MIDDLE} cy={MIDDLE} r={HUB} fill="none" stroke="var(--ink)" strokeWidth="1.5" />
        {Array.from({ length: TICKS }, (_, k) => {
          const deg = (k * 360) / TICKS;
          const [from, to, text] = [at(deg, RIM - 12), at(deg, RIM - 5), at(deg, RIM + 22)];
          return (
            <g key={deg}>
              <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="var(--quiet)" />
              {k % 3 === 0 ? (
                <text x={text.x} y={text.y + 4} textAnchor="middle" fill="var(--quiet)" fontSize="11">
                  {deg}°
                </text>
              ) : null}
            </g>
          );
        })}
        {(measured.runs ?? []).map(({ id, angleDeg, amplitude }) => {
          const place = at(angleDeg, RIM - 34);
          return (
            <g key={id}>
              <circle cx={place.x} cy={place.y} r="3" fill="var(--quiet)" />
              <text x={place.x} y={place.y + 15} textAnchor="middle" fill="var(--quiet)" fontSize="11">
                {formatNumber(amplitude, reader.locale, 3)}
              </text>
            </g>
          );
        })}
        <line x1={MIDDLE} y1={MIDDLE} x2={heavy.x} y2={heavy.y} stroke="var(--rust)" strokeWidth="2" />
        <text
          x={heavy.x}
          y={heavy.y - 6}
          textAnchor="middle"
          fill="var(--rust)"
          fontSize="12"
          fontWeight="600"
        >
          heavy
        </text>
        {weights.map(({ angleDeg, massG }) => {
          const place = at(angleDeg, RIM);
          const text = at(angleDeg, RIM + 30);
          return (
            <g key={angleDeg}>
              <rect x={place.x - 8} y={place.y - 8} width="16" height="16" fill="var(--moss)" />
              <text
                x={text.x}
                y={text.y + 4}
                textAnchor="middle"
                fill="var(--moss)"
                fontSize="13"
                fontWeight="700"
              >
                {formatText(massG, 'massG', reader, 2)}
              </text>
            </g>
          );
        })}
      </svg>
      <Box component="dl" sx={{ m: 0 }}>
        <Told
          name="Imbalance"
          value={`${formatNumber(found.imbalanceGmm, reader.locale, 3)} ± ${formatNumber(found.errorGmm, reader.locale, 1)} g·mm`}
        />
        {found.permissibleGmm === undefined ? null : (
          <Told
            name="Allowed for a fast wheel"
            value={`${formatNumber(found.permissibleGmm, reader.locale, 3)} g·mm`}
          />
        )}
        <Told name="Shaking before" value={formatNumber(measured.amplitude!, reader.locale, 3)} />
        {measured.amplitudeAfter === undefined ? null : (
          <Told name="Shaking after" value={formatNumber(measured.amplitudeAfter, reader.locale, 3)} />
        )}
        {found.residualGmm === undefined ? null : (
          <Told name="Left of it" value={`${formatNumber(found.residualGmm, reader.locale, 2)} g·mm`} />
        )}
      </Box>
    </Box>
  );
}

const Told = ({ name, value }: { name: string; value: string }) => (
  <Box sx={{ display: 'flex', gap: 2, justifyContent: 'space-between', py: 0.5 }}>
    <dt>{name}</dt>
    <Box component="dd" sx={{ m: 0 }}>
      {value}
    </Box>
  </Box>
);
