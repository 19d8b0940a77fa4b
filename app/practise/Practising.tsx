import { useParams } from 'react-router';
import { LessonPage } from './LessonPage.js';
import { PractisePage } from './PractisePage.js';

/** Practising: the page, or the lesson that the address names. */
export const Practising = () => (useParams()['lessonId'] === undefined ? <PractisePage /> : <LessonPage />);
