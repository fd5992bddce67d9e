import { LinkOver } from '@/features/shared/LinkOver';

export default LinkOver;
