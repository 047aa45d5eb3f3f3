import { configure } from '@testing-library/react';
import { PATIENCE_MS } from './soon';

// A machine that others use can stand still for seconds: what never comes is told later, and nothing fails for being slow.
configure({ asyncUtilTimeout: PATIENCE_MS });
