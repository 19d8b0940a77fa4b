import { KNOWLEDGE, type Knowledge } from '../../core/toile/index.js';
import { usePreferences } from '../store/preferences.js';

/** What is known of toiles: this maker's own, else what the house has. */
export const useKnowledge = (): Knowledge => usePreferences((p) => p.knowledge) ?? KNOWLEDGE;
