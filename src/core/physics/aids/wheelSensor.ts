/** Edges of magnets that pass a sensor; every edge counts as a full spacing, false ones too. */
export interface WheelSensor {
  /** Takes in a stretch of time over which the wheel turned evenly. */
  turn(fromS: number, toS: number, fromM: number, toM: number): void;
  /** Speed of the last two edges, m/s; undefined before the second. */
  readonly speedMps: number | undefined;
  readonly edges: number;
}

/**
 * A sensor at a wheel.
 *
 * @param spacingM way between two magnets
 * @param falseShare chance of one false edge before each true one, at a uniform place since the last
 */
export function wheelSensor(spacingM: number, falseShare: number, random: () => number): WheelSensor {
  let lastEdgeS: number | undefined;
  let speed: number | undefined;
  let edges = 0;
  let next = spacingM;
  let falseAt = drawn();
  function drawn(): number | undefined {
    if (falseShare === 0) return undefined;
    return random() < falseShare ? next - spacingM + random() * spacingM : undefined;
  }
  const edge = (atS: number) => {
    if (lastEdgeS !== undefined && atS > lastEdgeS) speed = spacingM / (atS - lastEdgeS);
    lastEdgeS = atS;
    edges++;
  };
  return {
    turn: (fromS, toS, fromM, toM) => {
      if (toM <= fromM) return;
      const when = (placeM: number) => fromS + ((placeM - fromM) / (toM - fromM)) * (toS - fromS);
      for (;;) {
        if (falseAt !== undefined && falseAt <= toM && falseAt < next) {
          edge(when(Math.max(falseAt, fromM)));
          falseAt = undefined;
        }
        if (next > toM) return;
        edge(when(next));
        next += spacingM;
        falseAt = drawn();
      }
    },
    get speedMps() {
      return speed;
    },
    get edges() {
      return edges;
    },
  };
}
