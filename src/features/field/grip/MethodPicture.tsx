import type { GripMethod } from '@/core/physics/grip/definition';

const ink = { stroke: 'var(--ink)', fill: 'none', strokeWidth: 2 } as const;
const drawn = { stroke: 'var(--moss)', fill: 'none', strokeWidth: 2.5 } as const;

function Car() {
  return (
    <g {...ink}>
      <path d="M-34 -14 L-22 -17 L-8 -30 L16 -30 L30 -18 L34 -12" />
      <path d="M-34 -12H34" />
      <circle cx="-22" cy="-10" r="10" fill="var(--sheet)" />
      <circle cx="22" cy="-10" r="10" fill="var(--sheet)" />
    </g>
  );
}

const PICTURES: Readonly<Record<GripMethod, React.ReactNode>> = {
  pull: (
    <>
      <path d="M10 90H230" {...ink} />
      <g transform="translate(150 90)">
        <Car />
        <path d="M-34 -12H-70" {...drawn} />
        <rect x="-110" y="-18" width="40" height="12" {...drawn} />
        <path d="M-110 -12H-128M-120 -18l-8 6l8 6" {...drawn} />
      </g>
    </>
  ),
  tilt: (
    <>
      <path d="M10 100H230" {...ink} />
      <g transform="translate(20 100) rotate(-26)">
        <path d="M0 0H215" {...ink} />
        <g transform="translate(130 0)">
          <Car />
        </g>
      </g>
      <path d="M100 100A80 80 0 0 0 92 65" {...drawn} />
    </>
  ),
  circle: (
    <>
      <ellipse cx="120" cy="62" rx="96" ry="42" {...ink} strokeDasharray="5 4" />
      <path d="M120 62L205 82" {...drawn} />
      <circle cx="120" cy="62" r="3" {...drawn} />
      <g transform="translate(205 88) scale(.5)">
        <Car />
      </g>
    </>
  ),
  brakeLength: (
    <>
      <path d="M10 90H230M60 90V70M190 90V70" {...ink} />
      <path d="M64 78H186M72 72l-8 6l8 6M178 72l8 6l-8 6" {...drawn} />
      <g transform="translate(190 90) scale(.8)">
        <Car />
      </g>
    </>
  ),
  brakeTime: (
    <>
      <path d="M10 90H230" {...ink} />
      <g transform="translate(170 90)">
        <Car />
      </g>
      <circle cx="60" cy="50" r="24" {...drawn} />
      <path d="M60 50V34M60 50L72 56M54 22H66" {...drawn} />
    </>
  ),
  launch: (
    <>
      <path d="M10 90H230" {...ink} />
      <g transform="translate(80 90)">
        <Car />
        <path d="M36 -2l14 -8M38 4h16M-48 -20H-80M-48 -10H-90" {...drawn} />
      </g>
    </>
  ),
};

/** A method in a few strokes; its words stand beside it. */
export const MethodPicture = ({ method }: { method: GripMethod }) => (
  <svg viewBox="0 0 240 112" width={240} aria-hidden="true">
    {PICTURES[method]}
  </svg>
);
