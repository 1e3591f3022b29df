import { PrintSheet } from '@/ui/print/PrintSheet';

export default function PrintPage() {
  return <PrintSheet />;
}
