import Papa from 'papaparse';
import type { PlateItem } from './plates';

interface OnPlate {
  name: string;
  sizeMm: readonly [number, number, number];
  timeS: number;
  massG: number;
}

const rounded = (value: number) => Number(value.toFixed(2));

/** What lies on a plate, thing by thing: place of the low corner and size as it lies in mm, time in minutes, mass in g. */
export function plateCsv(items: readonly PlateItem[], of: (id: string) => OnPlate): string {
  const rows = items.map(({ id, xMm, yMm, turned }) => {
    const {
      name,
      sizeMm: [w, d, h],
      timeS,
      massG,
    } = of(id);
    return [
      name,
      rounded(xMm),
      rounded(yMm),
      rounded(turned ? d : w),
      rounded(turned ? w : d),
      rounded(h),
      turned ? 'yes' : 'no',
      rounded(timeS / 60),
      rounded(massG),
    ];
  });
  return Papa.unparse(
    {
      fields: ['part', 'x_mm', 'y_mm', 'width_mm', 'depth_mm', 'height_mm', 'turned', 'minutes', 'mass_g'],
      data: rows,
    },
    { newline: '\n', escapeFormulae: true },
  );
}
