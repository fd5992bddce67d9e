import { AIR_NOTES, AIR_REFUSALS } from './airWords';
import { BENCH_NOTES } from './benchNotes';
import { BENCH_REFUSALS } from './benchRefusals';
import { FASTENER_REFUSALS, LIGHTEST_NOTES, LIGHTEST_REFUSALS, LINK_NOTES, LINK_REFUSALS } from './linkWords';
import { GRIP_NOTES, GRIP_REFUSALS } from './gripWords';
import { HANDLING_NOTES, HANDLING_REFUSALS } from './handlingWords';
import { STEADY_NOTES, STEADY_REFUSALS } from './steadyWords';
import { COAST_NOTES, COAST_REFUSALS } from './coastWords';
import { GYRO_NOTES, GYRO_REFUSALS } from './gyroWords';
import { CLEARANCE_NOTES, CLEARANCE_REFUSALS } from './clearanceWords';
import { MAKING_REFUSALS } from './makingRefusals';
import {
  MESH_FILE_REFUSALS,
  THREE_MF_REFUSALS,
  OBJ_REFUSALS,
  STL_REFUSALS,
  FEM_REFUSALS,
  EXTRUDE_REFUSALS,
  SECTIONS_REFUSALS,
  SPLIT_REFUSALS,
} from '../refusals/meshes';
import { ALL_MESH_NOTES } from './meshNotes';
import { TRANSMISSION_NOTES } from './transmissionNotes';

/** Words of findings and refusals that no page of a build shows at first, so that none of them fetches these. */
export const LATER_SENTENCES = {
  ...AIR_NOTES,
  ...BENCH_NOTES,
  ...COAST_NOTES,
  ...GRIP_NOTES,
  ...GYRO_NOTES,
  ...HANDLING_NOTES,
  ...STEADY_NOTES,
  ...LINK_NOTES,
  ...CLEARANCE_NOTES,
  ...LIGHTEST_NOTES,
  ...TRANSMISSION_NOTES,
  ...ALL_MESH_NOTES,
};
export const LATER_REFUSALS = {
  ...AIR_REFUSALS,
  ...BENCH_REFUSALS,
  ...COAST_REFUSALS,
  ...GRIP_REFUSALS,
  ...GYRO_REFUSALS,
  ...HANDLING_REFUSALS,
  ...STEADY_REFUSALS,
  ...LINK_REFUSALS,
  ...CLEARANCE_REFUSALS,
  ...LIGHTEST_REFUSALS,
  ...FASTENER_REFUSALS,
  ...MAKING_REFUSALS,
  ...MESH_FILE_REFUSALS,
  ...THREE_MF_REFUSALS,
  ...OBJ_REFUSALS,
  ...STL_REFUSALS,
  ...FEM_REFUSALS,
  ...EXTRUDE_REFUSALS,
  ...SECTIONS_REFUSALS,
  ...SPLIT_REFUSALS,
};
