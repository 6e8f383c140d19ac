-- What counts a camera's frames: its own interval timer, or the remote that goes with it.
ALTER TABLE camera ADD COLUMN timer_step TEXT NOT NULL DEFAULT 'SECONDS' CHECK (timer_step IN ('SECONDS', 'TENTHS'));
ALTER TABLE camera ADD COLUMN timer_from TEXT NOT NULL DEFAULT 'START_TO_START' CHECK (timer_from IN ('START_TO_START', 'GAP'));
ALTER TABLE camera ADD COLUMN timer_largest INTEGER NOT NULL DEFAULT 399;
