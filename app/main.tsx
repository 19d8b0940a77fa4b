import './shared/base.css';
import './room/room.css';
import './shared/pages.css';
import './board/drawing.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.js';
import { pageReady } from './pages.js';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root');
const show = (): void => {
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
};
// A page that cannot be fetched says so once it is shown.
pageReady(window.location.pathname).then(show, show);
