package embercup.server.brews;

import embercup.server.platform.Fields;
import embercup.server.shelf.TakenFromTins;
import java.sql.Timestamp;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What brews took out of tins: of everything that was started and not given up, what its plan measured out. */
@Component
class HerbsTaken implements TakenFromTins {

    private final JdbcClient jdbc;

    HerbsTaken(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Taken> taken(List<Since> of) {
        List<Taken> all = new ArrayList<>();
        for (Since since : of) {
            all.add(jdbc.sql("""
                            select coalesce(sum((a ->> 'grams')::double precision), 0),
                                coalesce(sqrt(sum(power(((a ->> 'highG')::double precision - (a ->> 'lowG')::double precision) / 2, 2))), 0),
                                count(distinct b.id)
                            from brew b cross join lateral jsonb_array_elements(b.plan -> 'additions') a
                            where b.herbs @> jsonb_build_array(cast(:herb as text)) and b.started_at >= :at
                                and b.phase in ('running', 'finished') and b.clock_real is null
                                and a ->> 'herb' = :herb and a ->> 'form' = :form""")
                    .param("herb", since.herb())
                    .param("form", Fields.code(since.form()))
                    .param("at", Timestamp.from(since.at()))
                    .query((row, n) -> new Taken(row.getDouble(1), row.getDouble(2), row.getInt(3)))
                    .single());
        }
        return all;
    }
}
