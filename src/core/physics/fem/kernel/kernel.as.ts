// AssemblyScript: what the kernel of the solver gives out.
export { dot, factor, follow, product64, solved, step } from './exact.as';
export { began, ended, leftOf, product32 } from './single.as';
export { assembled, firstSweep, prolong, residual, restrict, sweep } from './sweeps.as';
