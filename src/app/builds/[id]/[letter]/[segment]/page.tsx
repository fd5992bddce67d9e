import { notFound } from 'next/navigation';
import { SEGMENTS, type Segment } from '@/core/verdict/engine/segments';
import { SegmentPage } from '@/features/SegmentPage';

export default async function Page({ params }: { params: Promise<{ segment: string }> }) {
  const { segment } = await params;
  if (!SEGMENTS.includes(segment as Segment)) notFound();
  return <SegmentPage segment={segment as Segment} />;
}
