import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sentenceOf } from '../api';

interface Acts {
  problem: string | undefined;
  /** Does something and shows the page as it is then; what goes wrong is said. */
  act(work: () => Promise<unknown>): Promise<void>;
}

/** What is done on a page about the workshop. */
export function useActs(): Acts {
  const router = useRouter();
  const [problem, setProblem] = useState<string>();
  const act = async (work: () => Promise<unknown>) => {
    setProblem(undefined);
    try {
      await work();
      router.refresh();
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return { problem, act };
}
