package org.halfdusk.store.shoots;

import static org.halfdusk.store.jooq.Tables.PRACTICE_FRAME;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.kept.done.PracticeLog;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.practice.PractisedFrame;
import org.halfdusk.show.practice.Reaction;
import org.halfdusk.show.practice.Verdict;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.CueTexts;
import org.halfdusk.store.jooq.tables.records.PracticeFrameRecord;
import org.halfdusk.store.sqlite.Database;
import org.jooq.Condition;
import org.jooq.DSLContext;

/** What hands practised, in the file. */
public final class StoredPracticeLog implements PracticeLog {
    private final Database database;
    private final DSLContext dsl;

    public StoredPracticeLog(Database database) {
        this.database = database;
        this.dsl = database.dsl();
    }

    @Override
    public List<PractisedFrame> frames(long shootId) {
        return read(PRACTICE_FRAME.SHOOT_ID.eq(shootId));
    }

    @Override
    public Optional<PractisedFrame> frame(long shootId, long number) {
        return read(PRACTICE_FRAME.SHOOT_ID.eq(shootId).and(PRACTICE_FRAME.ID.eq(number))).stream()
                .findFirst();
    }

    private List<PractisedFrame> read(Condition which) {
        return dsl
                .selectFrom(PRACTICE_FRAME)
                .where(which)
                .orderBy(PRACTICE_FRAME.ID.desc())
                .limit(PractisedFrame.MOST)
                .fetch()
                .stream()
                .flatMap(r -> read(r).stream())
                .toList();
    }

    /** A row that no rule lets through is as if it were not there. */
    private static Optional<PractisedFrame> read(PracticeFrameRecord r) {
        try {
            Shutter shutter = new Shutter(r.getOpened(), r.getClosed());
            Optional<CueSheet> typed =
                    r.getTyped().isEmpty() ? Optional.empty() : Optional.of(CueTexts.read(r.getTyped()));
            return Optional.of(new PractisedFrame(
                    r.getId(),
                    Instant.parse(r.getAt()),
                    new Exercise(
                            r.getSeed(),
                            typed,
                            Exercise.Smoke.valueOf(r.getSmoke()),
                            r.getFinale() != 0,
                            r.getMetres()),
                    shutter,
                    Verdict.valueOf(r.getVerdict()),
                    reaction(r, shutter)));
        } catch (IllegalArgumentException | DateTimeException e) {
            return Optional.empty();
        }
    }

    private static Optional<Reaction> reaction(PracticeFrameRecord r, Shutter shutter) {
        Double launch = r.getAfterLaunch();
        Double thump = r.getAfterThump();
        Double breaks = r.getBeforeBreak();
        Double dark = r.getBeforeDark();
        return launch == null || thump == null || breaks == null || dark == null
                ? Optional.empty()
                : Optional.of(new Reaction(launch, thump, breaks, shutter.seconds(), dark));
    }

    @Override
    public long add(long shootId, PractisedFrame frame) {
        return database.whole(() -> {
            PracticeFrameRecord r = dsl.newRecord(PRACTICE_FRAME);
            r.setShootId(shootId);
            r.setAt(frame.at().toString());
            r.setSeed(frame.exercise().seed());
            r.setTyped(frame.exercise().typed().map(CueTexts::written).orElse(""));
            r.setSmoke(frame.exercise().smoke().name());
            r.setFinale(frame.exercise().finale() ? 1L : 0L);
            r.setMetres(frame.exercise().metres());
            r.setOpened(frame.shutter().open());
            r.setClosed(frame.shutter().close());
            r.setVerdict(frame.verdict().name());
            frame.reaction().ifPresent(a -> {
                r.setAfterLaunch(a.afterLaunch());
                r.setAfterThump(a.afterThump());
                r.setBeforeBreak(a.beforeBreak());
                r.setBeforeDark(a.beforeDark());
            });
            r.store();
            dsl.deleteFrom(PRACTICE_FRAME)
                    .where(PRACTICE_FRAME.SHOOT_ID.eq(shootId))
                    .and(PRACTICE_FRAME.ID.notIn(dsl.select(PRACTICE_FRAME.ID)
                            .from(PRACTICE_FRAME)
                            .where(PRACTICE_FRAME.SHOOT_ID.eq(shootId))
                            .orderBy(PRACTICE_FRAME.ID.desc())
                            .limit(PractisedFrame.MOST)))
                    .execute();
            return r.getId();
        });
    }

    @Override
    public void forget(long shootId) {
        dsl.deleteFrom(PRACTICE_FRAME)
                .where(PRACTICE_FRAME.SHOOT_ID.eq(shootId))
                .execute();
    }
}
