import { PartEntry } from '@/ui/part/PartEntry';

export default function PartPage() {
  return <PartEntry />;
}
