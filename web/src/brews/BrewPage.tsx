import { useParams } from 'react-router';
import { troubleOf } from '../api/problem';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { BrewHead } from './BrewHead';
import { BrewParts } from './BrewParts';
import { JUST_READ_S, useBrewQuery } from '../api/brewsApi';

export function BrewPage() {
  const id = Number(useParams()['brewId']);
  const {
    data: brew,
    error,
    isLoading,
    refetch,
  } = useBrewQuery(id, { refetchOnMountOrArgChange: JUST_READ_S });
  if (isLoading) return <Loading />;
  if (!brew) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return (
    <>
      <BrewHead brew={brew} />
      <BrewParts key={brew.id} brew={brew} />
    </>
  );
}
