package outfell.server.safekeeping;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Backups as the practice sees them. */
@RestController
@RequestMapping("/api/practice/backups")
class BackupController {
    private final SafeKeeping keeping;

    BackupController(SafeKeeping keeping) {
        this.keeping = keeping;
    }

    @GetMapping
    List<Backups.Backup> all() {
        return keeping.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Backups.Backup make() {
        return keeping.make();
    }
}
