import { Sheet } from '@/ui/sheet/Sheet';

export default function SheetPage() {
  return <Sheet />;
}
