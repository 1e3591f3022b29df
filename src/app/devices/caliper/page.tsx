import type { Metadata } from 'next';
import { StandIn } from '@/ui/devices/StandIn';

export const metadata: Metadata = { title: 'Caliper' };

export default function CaliperPage() {
  return (
    <StandIn
      device="caliper (stand-in)"
      title="Caliper, a stand-in"
      what="It sends what it shows to the page of the lathe that is being measured on, as a caliper with a cable would."
      axes={['']}
    />
  );
}
