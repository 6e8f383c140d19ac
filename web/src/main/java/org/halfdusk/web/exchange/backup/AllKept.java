package org.halfdusk.web.exchange.backup;

import org.halfdusk.shoot.kept.KeptSettings;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.kept.done.Learning;
import org.halfdusk.shoot.kept.done.PackLists;
import org.halfdusk.shoot.kept.done.PracticeLog;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.kept.kit.FocusMarks;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.springframework.stereotype.Component;

/** The ports of all that a backup holds. */
@Component
record AllKept(
        Places places,
        Kits kits,
        Rigs rigs,
        Shoots shoots,
        PackLists packing,
        RunLog log,
        PracticeLog practice,
        Frames frames,
        Learning learning,
        FocusMarks marks,
        Tracks tracks,
        KeptSettings settings) {}
