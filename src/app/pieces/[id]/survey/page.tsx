import { SurveyScreen } from '@/features/survey';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <SurveyScreen pieceId={(await params).id} />;
}
