import './tokens.css';
import './base.css';
import './bench.css';
import './fields.css';
import './line-up.css';
import './sheets.css';
import './sales.css';
import './verdict.css';
