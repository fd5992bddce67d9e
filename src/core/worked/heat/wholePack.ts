import { driveEndurance } from '../../physics/heat/endurance';
import type { EnduranceInput, EnduranceResult } from '../../physics/heat/enduranceDefinition';
import { keepLast } from '../../base/kept';

/** A pack driven empty, as it ends and as if nothing could get too hot. */
export interface WholePack {
  readonly input: EnduranceInput;
  readonly ended: EnduranceResult;
  readonly unlimited: EnduranceResult;
}

/** No winding and no case outlives this, °C; a rise that ends here is far over every limit. */
const PAST_ALL_C = 400;
const keep = keepLast<WholePack>(60);

/** Both ways of driving a pack, kept for the checks and remedies that ask for the same again. */
export const wholePack = (input: EnduranceInput): WholePack =>
  keep(JSON.stringify(input), () => driven(input));

function driven(input: EnduranceInput): WholePack {
  const { windingLimitC = PAST_ALL_C, caseLimitC = Infinity, ...thermal } = input.thermal;
  const unlimited = driveEndurance({ ...input, thermal: { ...thermal, windingLimitC: PAST_ALL_C } });
  const cool = unlimited.peakWindingC < windingLimitC && unlimited.peakCaseC < caseLimitC;
  return { input, unlimited, ended: cool ? unlimited : driveEndurance(input) };
}
