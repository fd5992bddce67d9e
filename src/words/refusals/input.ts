import type { Refusals } from './refusals';

export const KEEPABLE_REFUSALS: Refusals<'keepable'> = {
  'keepable.character': () => [
    'holds a character that cannot be kept',
    'remove what is no letter, sign or space',
  ],
  'keepable.depth': ({ deepest }) => ['is nested too deeply', `go no deeper than ${deepest} levels`],
  'keepable.name': () => ['has a field whose name cannot be kept', 'take it out'],
};

export const DOCUMENT_REFUSALS: Refusals<'document'> = {
  'document.noVersion': () => ['is missing or is no whole number from 1'],
  'document.newer': ({ version, schemaVersion }) => [
    `is ${version}, and this program knows versions up to ${schemaVersion}`,
    'open it with a newer version of the program',
  ],
};

export const BASE64_REFUSALS: Refusals<'base64'> = {
  'base64.cutOff': () => ['is cut off: no base64 text has this length', 'give the whole file'],
  'base64.character': ({ at }) => [
    `is no base64: character ${at} does not belong`,
    'give the file as base64',
  ],
};

export const BUILD_FILE_REFUSALS: Refusals<'buildFile'> = {
  'buildFile.large': ({ mostMb }) => [`is larger than ${mostMb} MB`, 'a build file holds one build only'],
  'buildFile.format': ({ fileFormat }) => [
    'is not a build file of this program',
    `a build file begins with "format": "${fileFormat}"`,
  ],
  'buildFile.noVersion': () => ['is missing or is no whole number from 1'],
  'buildFile.newer': ({ formatVersion, fileVersion }) => [
    `is ${formatVersion}, and this program reads versions up to ${fileVersion}`,
    'open it with a newer version of the program',
  ],
  'buildFile.damaged': ({ line }) => [
    `is damaged: the text stops being JSON at line ${line}`,
    'export it again from where it came',
  ],
  'buildFile.noContent': () => ['is missing', 'bring the archive in that it came with'],
  'buildFile.dangling': ({ name }) => [`names ${name}, which the file does not hold`],
  'buildFile.noRun': ({ documentOf }) => [
    `names ${documentOf}, which is no run with a document in the file`,
    'export the build again',
  ],
};

export const REQUEST_REFUSALS: Refusals<'request'> = {
  'request.figure': ({ key }) => [
    `gives a figure that is no number at ${key}`,
    'the figures lie outside of what the model can answer: bring them nearer to those of a car',
  ],
  'request.voxels': ({ count, mostVoxels }) => [
    `gives about ${count} voxels, over the ${mostVoxels} of one request`,
    'choose larger voxels, or run it in calc',
  ],
  'request.combinations': ({ combinations, mostCombinations }) => [
    `with the packs and ratios make ${combinations} combinations, over the ${mostCombinations} of one request`,
    'ask for fewer at once',
  ],
  'request.address': () => ['is not the id of the address'],
};

export const IMPORT_REFUSALS: Refusals<'import'> = {
  'import.json': () => ['is not JSON', 'export the workshop again'],
  'import.hash': () => ['does not hold what its hash says', 'export the build again'],
  'import.jpeg': () => ['is no JPEG', 'export the build again'],
};

export const CALC_REFUSALS: Refusals<'calc'> = {
  'calc.meshFile': () => ['is no mesh file', 'name one file that ends in .stl, .3mf or .obj'],
  'calc.unreadable': ({ file }) => [`cannot be read: ${file}`, 'give the path of a file that is there'],
};
