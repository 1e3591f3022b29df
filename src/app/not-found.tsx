import { Trouble } from '@/ui/primitives/Trouble';

export default function NotFound() {
  return (
    <Trouble title="There is nothing here">
      The address names no run. It may have been copied short; the board lists every run.
    </Trouble>
  );
}
