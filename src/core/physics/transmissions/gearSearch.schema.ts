import Joi from 'joi';
import { count, finite, notNegative, positive } from '../../base/schema/fields';
import { type GearSearchInput, SEARCH_SORTS, type SearchStage } from './gearSearch';

const teeth = () => Joi.array().items(finite().integer().min(6)).min(1).max(100).unique().required();

export const gearSearchSchema = Joi.object<GearSearchInput>({
  wantedRatio: positive().required(),
  tolerancePct: notNegative().default(2),
  stages: Joi.array()
    .items(
      Joi.object<SearchStage>({
        pinions: teeth(),
        wheels: teeth(),
        moduleMm: positive().default(1),
        centreMinMm: notNegative(),
        centreMaxMm: positive(),
      }),
    )
    .min(1)
    .max(3)
    .required(),
  sort: Joi.valid(...SEARCH_SORTS).default('closest'),
  maxResults: count().max(500).default(50),
}).required();
