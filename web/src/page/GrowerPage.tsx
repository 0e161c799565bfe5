import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api, type S, take } from '../api/client';
import { SheetPage } from './Sheet';

export default function GrowerPage() {
  const { token = '' } = useParams();
  const { data, error } = useQuery({
    queryKey: ['page', token],
    queryFn: () => take<S['Sheet']>(api.GET('/api/v1/page/{token}', { params: { path: { token } } })),
    retry: false,
  });
  if (error)
    return (
      <main className="paper">
        <h1>This page is not here</h1>
        <p>The address may have been mistyped. Ask at the plant desk with the number on your tag.</p>
      </main>
    );
  return <main>{data && <SheetPage s={data} />}</main>;
}
