import type { ControllerThermal } from './controllerCooling';

/** A controller that warms while a pack is driven: one mass, with the losses that it carries. */
export class ControllerNode {
  temperatureC: number;
  peakC: number;
  /** Of the pass: what is left of a difference at its start, its temperature there, and how far its peak stood over its end. */
  private left = 1;
  private beforeC: number;
  private passPeakC: number;

  /** @param share of all controllers' losses that this one carries */
  constructor(
    private readonly thermal: ControllerThermal,
    private readonly ambientC: number,
    private readonly share: number,
  ) {
    this.temperatureC = this.peakC = this.beforeC = this.passPeakC = ambientC;
  }

  /** All controllers' losses, W, over a stretch, s: exact while they are constant. */
  warm(allW: number, speedMps: number, seconds: number): void {
    const { heatCapacityJPerK, toAmbientKPerW, coolingPerMps } = this.thermal;
    const wPerK = (1 + coolingPerMps * speedMps) / toAmbientKPerW;
    const left = Math.exp((-wPerK * seconds) / heatCapacityJPerK);
    const settles = this.ambientC + (this.share * allW) / wPerK;
    this.temperatureC = settles + (this.temperatureC - settles) * left;
    this.left *= left;
    this.passPeakC = Math.max(this.passPeakC, this.temperatureC);
    this.peakC = Math.max(this.peakC, this.temperatureC);
  }

  /** A pass begins. */
  mark(): void {
    this.left = 1;
    this.beforeC = this.passPeakC = this.temperatureC;
  }

  /** Its highest temperature within the last of so many passes that go as this one went. */
  peakAfter(passes: number): number {
    return this.after(passes) + this.passPeakC - this.temperatureC;
  }

  repeat(passes: number): void {
    this.peakC = Math.max(this.peakC, this.peakAfter(passes));
    this.temperatureC = this.after(passes);
  }

  /** A pass is a line in the temperature at its start: it goes towards the one that it does not change. */
  private after(passes: number): number {
    if (this.left >= 1) return this.temperatureC;
    const settles = (this.temperatureC - this.left * this.beforeC) / (1 - this.left);
    return settles + (this.temperatureC - settles) * this.left ** passes;
  }
}
