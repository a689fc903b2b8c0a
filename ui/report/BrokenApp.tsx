import type { ErrorBoundaryProps } from 'expo-router';
import { useState } from 'react';

import { programFaultOf } from '@core/reporting/wording';

import { Broken } from './ScreenBoundary';

/** What is shown where nothing else can be. */
export function BrokenApp({ error, retry }: ErrorBoundaryProps) {
  const [when] = useState(() => new Date().toISOString());
  return <Broken fault={programFaultOf(error, 'this screen', when)} onAgain={() => void retry()} />;
}
