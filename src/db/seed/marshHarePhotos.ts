/** Drawn in place of photographs: what the camera would have seen on the bench and on the meadow. */
const [WIDTH, HEIGHT] = [960, 720];
const [BENCH, BENCH_LINE, DARK, MID, LIGHT, METAL, SHINE] = [
  '#C9B99A',
  '#BBAA88',
  '#2E332F',
  '#46504A',
  '#6B766E',
  '#8D9296',
  '#C6CACD',
];

const at = (value: number) => value.toFixed(1);
const scene = (back: string, parts: readonly string[]) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}" viewBox="0 0 ${WIDTH} ${HEIGHT}"><defs><filter id="soft"><feGaussianBlur stdDeviation="9"/></filter><radialGradient id="light" cx="35%" cy="25%" r="90%"><stop offset="0" stop-color="#fff" stop-opacity=".30"/><stop offset="1" stop-color="#000" stop-opacity=".28"/></radialGradient></defs>${back}${parts.join('')}<rect width="${WIDTH}" height="${HEIGHT}" fill="url(#light)"/></svg>`;

const bench = `<rect width="${WIDTH}" height="${HEIGHT}" fill="${BENCH}"/>${Array.from({ length: 9 }, (_, row) => `<path d="M0 ${row * 84 + 30} C300 ${row * 84 + 12} 620 ${row * 84 + 58} ${WIDTH} ${row * 84 + 24}" fill="none" stroke="${BENCH_LINE}" stroke-width="${2 + (row % 3)}"/>`).join('')}`;
const meadow = `<rect width="${WIDTH}" height="300" fill="#BCD0DA"/><rect y="250" width="${WIDTH}" height="470" fill="#7F9A58"/>${Array.from({ length: 26 }, (_, blade) => `<path d="M${blade * 38} 720 q${((blade * 7) % 13) - 6} -${60 + ((blade * 37) % 70)} ${((blade * 11) % 23) - 9} -${110 + ((blade * 53) % 90)}" stroke="#5E7B3D" stroke-width="5" fill="none"/>`).join('')}`;
const shadow = (path: string) =>
  `<path d="${path}" transform="translate(14 18)" fill="#000" opacity=".35" filter="url(#soft)"/>`;
/** Lines of a print inside a shape. */
const layers = (id: string, path: string, step: number, turned: boolean) =>
  `<clipPath id="${id}"><path d="${path}"/></clipPath><g clip-path="url(#${id})">${Array.from({ length: Math.ceil(WIDTH / step) }, (_, line) => (turned ? `<path d="M${line * step} 0V${HEIGHT}" stroke="#000" stroke-opacity=".22"/>` : `<path d="M0 ${line * step}H${WIDTH}" stroke="#000" stroke-opacity=".22"/>`)).join('')}</g>`;
const solid = (path: string, fill: string) =>
  `<path d="${path}" fill="${fill}" stroke="#15181566" stroke-width="2"/>`;
const printed = (id: string, path: string, fill: string, step = 7, turned = false) =>
  shadow(path) + solid(path, fill) + layers(id, path, step, turned);
const hole = (x: number, y: number, r: number) =>
  `<circle cx="${x}" cy="${y}" r="${r}" fill="#191b19"/><circle cx="${x - r * 0.15}" cy="${y - r * 0.15}" r="${r * 0.72}" fill="${BENCH_LINE}"/>`;

/** A wheel of so many teeth with some of them gone. */
function gear(cx: number, cy: number, radius: number, teeth: number, missing: ReadonlySet<number>): string {
  const pitch = (2 * Math.PI) / teeth;
  const point = (angle: number, r: number) =>
    `${at(cx + r * Math.cos(angle))} ${at(cy + r * Math.sin(angle))}`;
  const outline = Array.from({ length: teeth }, (_, tooth) => {
    const a = tooth * pitch;
    const root = radius * 0.94;
    if (missing.has(tooth))
      return `${point(a, root)} L${point(a + pitch * 0.3, root * (1.004 + 0.01 * (tooth % 2)))} L${point(a + pitch * 0.6, root * 0.995)} L${point(a + pitch * 0.95, root)}`;
    return `${point(a, root)} L${point(a + pitch * 0.18, radius)} L${point(a + pitch * 0.44, radius)} L${point(a + pitch * 0.62, root)} L${point(a + pitch * 0.95, root)}`;
  }).join(' L');
  return `M${outline} Z`;
}

const stripped = () => {
  const wheel = gear(500, 360, 270, 71, new Set([3, 4, 5]));
  const crumbs = [
    [800, 430, 9],
    [828, 462, 7],
    [786, 478, 8],
  ]
    .map(
      ([x, y, r]) =>
        `<path d="M${x} ${y} l${r! * 1.6} ${-r!} l${r} ${r! * 1.5} l${-r! * 1.7} ${r! * 0.6}z" fill="#E8E4D8" stroke="#77705E"/>`,
    )
    .join('');
  return scene(bench, [
    shadow(wheel),
    solid(wheel, '#E8E4D8'),
    layers('g', wheel, 6, false),
    `<circle cx="500" cy="360" r="120" fill="none" stroke="#00000033" stroke-width="26"/>`,
    hole(500, 360, 40),
    crumbs,
  ]);
};

const splitCarrier = () => {
  const [a, b] = [
    'M250 170 H560 Q600 170 600 210 V352 L540 346 L470 358 L380 344 L300 356 L250 348 Z',
    'M262 392 L312 400 L392 388 L482 402 L552 390 L612 396 V520 Q612 560 572 560 H262 Z',
  ];
  return scene(bench, [
    printed('a', a, DARK),
    printed('b', b, DARK),
    hole(350, 260, 38),
    hole(505, 262, 22),
    hole(352, 476, 22),
    hole(510, 478, 22),
    `<path d="M660 330 l120 -40" stroke="${METAL}" stroke-width="20" stroke-linecap="round"/><path d="M660 326 l120 -40" stroke="${SHINE}" stroke-width="5" stroke-linecap="round"/>`,
  ]);
};

const walkedPinion = () => {
  const wheel = gear(690, 370, 92, 17, new Set());
  return scene(bench, [
    `<rect x="60" y="210" width="330" height="320" rx="34" fill="#3A3E41"/><rect x="60" y="210" width="330" height="320" rx="34" fill="none" stroke="#000" stroke-opacity=".4" stroke-width="3"/>${Array.from({ length: 8 }, (_, fin) => `<rect x="${92 + fin * 34}" y="230" width="12" height="280" fill="#2A2D30"/>`).join('')}`,
    `<rect x="390" y="350" width="330" height="40" fill="${METAL}"/><rect x="390" y="356" width="330" height="8" fill="${SHINE}"/>`,
    `<rect x="470" y="344" width="96" height="52" fill="#D9D2B4" opacity=".75"/><path d="M470 344 q18 26 0 52 M566 344 q-14 26 0 52" stroke="#A89E78" stroke-width="3" fill="none"/>`,
    shadow(wheel),
    solid(wheel, METAL),
    `<circle cx="690" cy="370" r="21" fill="#222"/>`,
    `<path d="M500 300 h120 m-26 -18 l26 18 l-26 18" stroke="#A3412A" stroke-width="7" fill="none"/>`,
  ]);
};

const bentArm = () => {
  const arm =
    'M150 300 Q150 262 190 262 H430 Q520 262 590 330 L740 470 Q766 496 742 522 Q716 548 690 522 L548 392 Q496 346 430 346 H190 Q150 346 150 308 Z';
  return scene(bench, [
    printed('m', arm, MID, 8, true),
    hole(204, 304, 24),
    hole(712, 496, 19),
    '<path d="M520 300 q40 22 60 62" stroke="#D8DDD2" stroke-width="5" fill="none" opacity=".7"/>',
    '<path d="M150 232 H800" stroke="#A3412A" stroke-width="4" stroke-dasharray="16 12"/>',
  ]);
};

const crackedBumper = () => {
  const bar = 'M110 300 Q480 190 850 300 L836 430 Q480 330 124 430 Z';
  return scene(bench, [
    printed('k', bar, LIGHT, 9),
    hole(300, 330, 22),
    hole(480, 306, 22),
    hole(660, 330, 22),
    '<path d="M300 352 l-12 26 l14 18 l-10 30" stroke="#111" stroke-width="5" fill="none"/><path d="M660 308 l10 -24 l-8 -16 l12 -24" stroke="#111" stroke-width="5" fill="none"/>',
  ]);
};

const wetController = () =>
  scene(meadow, [
    '<rect x="270" y="330" width="400" height="230" rx="16" fill="#2A2D30"/><rect x="300" y="356" width="340" height="116" rx="8" fill="#50565A"/>' +
      Array.from(
        { length: 10 },
        (_, fin) => `<rect x="${310 + fin * 32}" y="360" width="14" height="108" fill="#3A3F42"/>`,
      ).join(''),
    '<path d="M270 500 q-90 20 -150 90" stroke="#A3412A" stroke-width="14" fill="none"/><path d="M270 530 q-70 40 -110 120" stroke="#1d1f1e" stroke-width="14" fill="none"/>',
    Array.from(
      { length: 34 },
      (_, drop) =>
        `<ellipse cx="${280 + ((drop * 97) % 380)}" cy="${340 + ((drop * 61) % 212)}" rx="${4 + (drop % 4)}" ry="${3 + (drop % 3)}" fill="#DCEBF2" opacity=".8"/>`,
    ).join(''),
  ]);

/** Of each failure that was photographed: the picture and what it shows. */
export const MARSH_HARE_PHOTOS: Readonly<Record<string, { svg: string; caption: string }>> = {
  'mh-a-tooth': { svg: stripped(), caption: 'Three teeth gone, the rest whole' },
  'mh-b-carrier': { svg: splitCarrier(), caption: 'Flat along the layers, beside the hinge pin' },
  'mh-c-pinion': { svg: walkedPinion(), caption: 'Pinion at the end of the shaft, glue left behind' },
  'mh-c-wet': { svg: wetController(), caption: 'Drops on the controller after the wet edge' },
  'mh-c-arm': { svg: bentArm(), caption: 'Bent where the arm is thinnest' },
  'mh-d-bumper': { svg: crackedBumper(), caption: 'Cracks from two of the three holes' },
};
