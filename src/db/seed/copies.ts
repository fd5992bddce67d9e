import type { ChosenSurface, SizeClass } from '@/core/car/document/brief';
import type { ChosenMotor } from '@/core/car/document/drive';
import type { ChosenTyre } from '@/core/car/tyres/tyres';
import type { ChosenMaterial } from '@/core/car/material/material';
import type {
  ChosenBattery,
  ChosenController,
  PowerLoad,
  PowerRail,
  Transmitter,
} from '@/core/car/document/power';
import { itemsOf, loadForBuild, materialForBuild, tyreForBuild } from '@/core/car/library/items';
import type { LibraryFigures, LibraryKind } from '@/core/car/library/kinds';
import { STARTING_LIBRARY } from '@/core/car/library/starting';

function item<K extends LibraryKind>(kind: K, id: string) {
  const found = itemsOf(STARTING_LIBRARY, kind).find((one) => one.id === id);
  if (!found) throw new Error(`the starting library holds no ${id}`);
  return found;
}

const copy = <K extends LibraryKind>(kind: K, id: string): { libraryId: string } & LibraryFigures[K] => ({
  libraryId: id,
  ...item(kind, id).data,
});

export const motor = (id: string): ChosenMotor => copy('motor', id);
export const material = (id: string): ChosenMaterial => materialForBuild(item('material', `material-${id}`));
export const regulator = (id: string, from: string, named: { id: string; name?: string }): PowerRail => ({
  ...copy('regulator', id),
  from,
  ...named,
});
export const load = (
  kind: 'servo' | 'receiver',
  id: string,
  own: { id: string; name: string; rail: string } & Partial<PowerLoad>,
): PowerLoad => ({ ...loadForBuild(item(kind, id) as never), ...own });
export const transmitter = (id: string): Transmitter => copy('transmitter', id);
export const battery = (id: string): ChosenBattery => copy('battery', id);
export const controller = (id: string): ChosenController => copy('controller', id);
export const sizeClass = (id: string): SizeClass => copy('sizeClass', id);
export const tyre = (id: string): ChosenTyre => tyreForBuild(item('tyre', id), STARTING_LIBRARY);
export const surface = (id: string): ChosenSurface => ({ id, ...copy('surface', `surface-${id}`) });
