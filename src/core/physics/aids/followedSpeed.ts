/**
 * Speed of a car whose every wheel may slip: it follows the wheels, but gains or loses no more than the ground can give.
 *
 * @param mostAccelMps2 that the speed may change by
 * @param frameS between two readings
 * @param starts from rest, or already rolling with its wheels
 * @returns from a reading of the wheels, m/s, the speed that slip is told against; undefined before the first
 * @see Burckhardt, Fahrwerktechnik: Radschlupf-Regelsysteme, ch. 7 (reference speed)
 */
export function followedSpeed(
  mostAccelMps2: number,
  frameS: number,
  starts: 'atRest' | 'rolling',
): (wheelMps: number | undefined) => number | undefined {
  const change = mostAccelMps2 * frameS;
  let [most, least] = [0, 0];
  let known = false;
  return (wheelMps) => {
    most += change;
    least -= change;
    if (wheelMps === undefined) return undefined;
    const followed =
      starts === 'atRest' ? Math.min(wheelMps, most) : known ? Math.max(wheelMps, least) : wheelMps;
    known = true;
    [most, least] = [followed, followed];
    return followed;
  };
}
