export { default } from '../../../../builds/[id]/[letter]/[segment]/page';
