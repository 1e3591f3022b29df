import { Opening } from '@/ui/primitives/Opening';

/** While a page waits for the database. */
export default function Loading() {
  return <Opening />;
}
