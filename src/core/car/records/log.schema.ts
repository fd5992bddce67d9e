import Joi from 'joi';
import { identifier, notNegative, positive, text } from '../../base/schema/fields';
import {
  type CopyRecord,
  type CopySheet,
  type PrintRecord,
  PRINT_STATES,
  type PrintSheet,
  WEAR_PLACES,
  type WearReading,
  PRINT_HOWS,
} from './prints';

const moment = () => Joi.string().isoDate();
const seconds = () => positive().max(1e7);

const item = Joi.object({
  copyId: identifier().required(),
  partId: identifier(),
  partName: text(80).required(),
  design: text(16),
  material: text(80),
  massG: positive().max(100_000),
});

export const printSheetFields = {
  id: identifier().required(),
  state: Joi.valid(...PRINT_STATES).required(),
  how: Joi.valid(...PRINT_HOWS).required(),
  printer: text(80).required(),
  items: Joi.array().items(item).min(1).max(500).unique('copyId').required(),
  estimateS: seconds(),
  queuedAt: moment().required(),
  startedAt: moment(),
  endedAt: moment(),
  actualS: seconds(),
  massG: positive().max(100_000),
  why: text(500),
};

export const copySheetFields = {
  id: identifier().required(),
  partId: identifier(),
  partName: text(80).required(),
  how: Joi.valid(...PRINT_HOWS).required(),
  design: text(16),
  material: text(80),
  massG: positive().max(100_000),
  madeAt: moment().required(),
  printId: identifier(),
  repairs: Joi.array()
    .items(Joi.object({ id: identifier().required(), at: moment().required(), what: text(300).required() }))
    .max(50)
    .unique('id'),
  readings: Joi.array()
    .items(
      Joi.object<WearReading>({
        id: identifier().required(),
        at: moment().required(),
        of: Joi.valid(...WEAR_PLACES).required(),
        valueMm: positive().max(1000).required(),
        hours: notNegative().max(100_000).required(),
        limitMm: positive().max(1000),
      }),
    )
    .max(200)
    .unique('id'),
  retiredAt: moment(),
  retiredWhy: text(300),
};

export const printSheetSchema = Joi.object<PrintSheet>(printSheetFields).required();
export const copySheetSchema = Joi.object<CopySheet>(copySheetFields).required();
export const printRecordSchema = Joi.object<PrintRecord>({
  ...printSheetFields,
  revisionId: identifier().required(),
});
export const copyRecordSchema = Joi.object<CopyRecord>({
  ...copySheetFields,
  revisionId: identifier().required(),
});
