'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { LARGEST_FILE } from '@/core/file/largestFile';
import { ApiProblem, callApi, sentenceOf } from '../api';

interface Waiting {
  text: string;
  message: string;
}

/** Brings a build file in; a build that is here already asks replace or copy. */
export function ImportBuild() {
  const router = useRouter();
  const [waiting, setWaiting] = useState<Waiting>();
  const [problem, setProblem] = useState<string>();
  const bring = async (text: string, mode: 'refuse' | 'replace' | 'copy') => {
    setProblem(undefined);
    try {
      await callApi('POST', `/api/builds/import?mode=${mode}`, text);
      setWaiting(undefined);
      router.refresh();
    } catch (error) {
      if (error instanceof ApiProblem && error.code === 'exists' && mode === 'refuse') setWaiting({ text, message: error.message });
      else setProblem(sentenceOf(error));
    }
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > LARGEST_FILE) return setProblem(`${file.name} is larger than ${LARGEST_FILE / 1024 / 1024} MB: a build file holds one build only.`);
    await bring(await file.text(), 'refuse');
  };
  return (
    <div className="row">
      <label className="btn">Open a build file<input type="file" accept=".json,application/json" className="hidden" aria-label="Open a build file" onChange={(event) => { void read(event.target.files?.[0]); event.target.value = ''; }} /></label>
      {waiting ? (
        <span className="row" role="alert">{waiting.message}
          <button type="button" className="btn" onClick={() => void bring(waiting.text, 'replace')}>Replace it</button>
          <button type="button" className="btn" onClick={() => void bring(waiting.text, 'copy')}>Bring it in as a copy</button>
          <button type="button" className="plain" onClick={() => setWaiting(undefined)}>leave it</button>
        </span>
      ) : null}
      {problem ? <span role="alert" style={{ color: 'var(--rust)' }}>{problem}</span> : null}
    </div>
  );
}
