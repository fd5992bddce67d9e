import Joi from 'joi';
import { count, finite, notNegative, positive } from '../../base/schema/fields';
import { MEMBERS } from './definition';
import type { PlanetarySearchInput } from './planetarySearch';

export const planetarySearchSchema = Joi.object<PlanetarySearchInput>({
  wantedRatio: finite().invalid(0).required(),
  tolerancePct: notNegative().max(100).default(5),
  held: Joi.valid(...MEMBERS).required(),
  driving: Joi.valid(...MEMBERS).required(),
  planets: Joi.array().items(count().min(2).max(8)).min(1).unique().default([3]),
  sunTeethMin: count().min(10).default(12),
  planetTeethMin: count().min(10).default(12),
  ringTeethMax: count().max(400).required(),
  moduleMm: positive(),
  rimMm: notNegative().default(3),
  ringOutsideMaxMm: positive(),
  pressureAngleDeg: finite().greater(0).less(45).default(20),
  maxResults: count().max(500).default(50),
}).required();
