import { Trouble } from '@/ui/primitives/Trouble';

export default function NotFound() {
  return (
    <Trouble title="There is nothing here">
      The address names nothing of this shop. It may have been copied short; the board lists every run.
    </Trouble>
  );
}
