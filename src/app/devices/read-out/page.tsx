import type { Metadata } from 'next';
import { StandIn } from '@/ui/devices/StandIn';

export const metadata: Metadata = { title: 'Read-out' };

export default function ReadOutPage() {
  return (
    <StandIn
      device="read-out (stand-in)"
      title="Read-out of two axes, a stand-in"
      what="It sends where its slides stand, as a read-out of a lathe would: X the diameter, Z along."
      axes={['X', 'Z']}
    />
  );
}
