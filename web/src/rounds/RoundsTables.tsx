import { Tables } from '../ui/Tables';

const tables = [
  { id: 'queue', name: 'The queue', to: '/rounds' },
  { id: 'whose', name: 'Whose', to: '/rounds/whose' },
  { id: 'day', name: 'The day', to: '/rounds/day' },
];

/** The tables of this room. */
export const RoundsTables = ({ at }: { at: string }) => <Tables room="rounds" at={at} tables={tables} />;
