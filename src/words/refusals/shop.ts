import type { Refusals } from './refusals';

export const COUPON_REFUSALS: Refusals<'coupon'> = {
  'coupon.noSample': ({ kind }) => [`no sample is a ${kind}`, `measure a few ${kind}s of the coupon`],
  'coupon.flat': ({ kind }) => [`the ${kind}s come out the same whatever is drawn`, 'measure them again'],
};

export const DIAGNOSE_REFUSALS: Refusals<'diagnose'> = {
  'diagnose.unknown': ({ id, ids }) => [`“${id}” is not in the tables`, `use one of ${ids}, …`],
  'diagnose.twice': ({ id }) => [`“${id}” is given twice`, 'leave one out'],
};

export const HOLES_REFUSALS: Refusals<'holes'> = {
  'holes.origin': () => ['is the origin too', 'name another hole'],
  'holes.twice': ({ id }) => [`${id} is there twice`, 'give each hole a name of its own'],
  'holes.unknown': ({ id }) => [`names ${id}, which is no hole`, 'use the name of a hole'],
  'holes.same': () => ['is the hole that the reading starts from', 'measure to another hole'],
  'holes.reading': () => [
    'puts the centres at the same place or beyond',
    'check the diameters, and whether it was inside or outside',
  ],
};

export const TRACK_REFUSALS: Refusals<'track'> = {
  'track.large': () => ['line 1: is larger than 50 MB', 'cut the file into shorter runs'],
  'track.points': ({ line, most }) => [
    `line ${line}: holds more than ${most} points`,
    'cut the file into shorter runs',
  ],
  'track.time': ({ line, time, in: kind }) => [
    `line ${line}: “${time}” is no time`,
    kind === 'gpx' ? 'write ISO 8601, as 2026-05-01T10:00:00Z' : 'write ISO 8601 or seconds',
  ],
  'track.xml': ({ line, said }) => [`line ${line}: the XML is broken: ${said}`, 'export the track again'],
  'track.none': ({ line }) => [
    `line ${line}: there is no track in it`,
    'export a track, not way points or a route',
  ],
  'track.untimed': ({ line }) => [
    `line ${line}: its points have no times`,
    'export the recorded track, with its times',
  ],
  'track.place': ({ line, lat, lon }) => [
    `line ${line}: lat ${lat}, lon ${lon} is no place`,
    'give degrees, lat from -90 to 90 and lon from -180 to 180',
  ],
  'track.columns': ({ line, columns }) => [
    `line ${line}: there is no column ${columns.join(', ')}`,
    'begin with time,lat,lon[,speed], or with time,speed where only the pack is to be driven by it',
  ],
  'track.empty': ({ line }) => [
    `line ${line}: there is no point under the headers`,
    'export the recorded track',
  ],
  'track.clock': ({ line, before, time }) => [
    `line ${line}: the clock goes back, from ${before} to ${time}`,
    'cut the log there, or export it anew',
  ],
  'track.speed': ({ line, speed }) => [`line ${line}: “${speed}” is no speed`, 'write numbers from 0 on'],
  'track.standsStill': () => ['nothing in it moves', 'take the track of a drive'],
};

export const MAKE_LIST_REFUSALS: Refusals<'makeList'> = {
  'makeList.long': () => ['is too long for a list of one car', 'choose another file'],
  'makeList.columns': ({ columns }) => ['names neither id nor name', `begin with ${columns}`],
  'makeList.lines': ({ mostLines }) => [`is one more than ${mostLines}`, 'leave the rest out'],
  'makeList.unnamed': () => ['is empty, and the id is none of this build', 'give it a name'],
  'makeList.source': ({ source, sources }) => [`“${source}” is no source`, `write ${sources}`],
  'makeList.number': ({ written, whole, most }) => [
    `“${written}” is no ${whole ? 'whole number' : 'number'} from 0 to ${most}`,
    'correct it there',
  ],
  'makeList.twice': ({ name }) => [`names ${name} again`, 'keep one line of each'],
};
