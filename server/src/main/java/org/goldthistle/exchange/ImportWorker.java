package org.goldthistle.exchange;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.exchange.ImportDto.ColumnDto;
import org.goldthistle.formats.SurveyField;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Works on files in the background, one after the other, and writes down how each ended. */
@Component
class ImportWorker {
    private static final Logger LOG = LoggerFactory.getLogger(ImportWorker.class);

    private final ImportCheck check;
    private final ImportStore store;
    private final ImportProgress progress;
    private final ExecutorService hands = Executors.newSingleThreadExecutor(work -> new Thread(work, "import"));

    ImportWorker(ImportCheck check, ImportStore store, ImportProgress progress) {
        this.check = check;
        this.store = store;
        this.progress = progress;
    }

    @PreDestroy
    void rest() {
        hands.shutdownNow();
    }

    /** Checks a file once the transaction at hand has ended. */
    void checkAfterwards(UUID importId) {
        afterwards(importId, ImportState.CHECKED, () -> check.run(importId));
    }

    /** Stores a file once the transaction at hand has ended. */
    void storeAfterwards(UUID importId, UUID observerId) {
        afterwards(importId, ImportState.STORED, () -> store.run(importId, observerId));
    }

    private void afterwards(UUID importId, ImportState end, Work work) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                hands.submit(() -> doIt(importId, end, work));
            }
        });
    }

    private void doIt(UUID importId, ImportState end, Work work) {
        if (!progress.begins(importId)) {
            return;
        }
        try {
            work.run();
            progress.end(importId, end, "");
        } catch (ImportProgress.Stopped stopped) {
            progress.end(importId, ImportState.STOPPED, "Stopped. Nothing of this file was stored.");
        } catch (RefusedException unreadable) {
            progress.end(
                    importId,
                    ImportState.BROKEN,
                    "The file cannot be read any further: " + unreadable.getMessage() + ". Nothing of it was stored.");
        } catch (Problem problem) {
            progress.end(importId, ImportState.BROKEN, problem.getMessage());
        } catch (IOException | RuntimeException unforeseen) {
            LOG.error("import {} broke", importId, unforeseen);
            progress.end(
                    importId,
                    ImportState.BROKEN,
                    "The server met something that it did not foresee. Nothing of this file was stored; check it"
                            + " again, and tell whoever runs the server if it happens again.");
        }
    }

    static SurveyField field(ColumnDto column) {
        return Coded.find(SurveyField.values(), column.field())
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.NO_SUCH_FIELD,
                        "A column holds " + Coded.codes(SurveyField.values()) + ", but \"" + column.field()
                                + "\" was sent. Nothing was checked."));
    }

    /** Work that may break. */
    private interface Work {
        void run() throws IOException;
    }
}
