package embercup.server.brews;

import embercup.core.materia.Form;
import embercup.server.platform.Fields;
import embercup.server.shelf.TakenFromTins;
import embercup.server.shelf.TakenQuery;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
    public List<Taken> taken(List<Since> of, Set<String> blendsInJars) {
        // Each plan is opened once, and of brews without the herbs none.
        return TakenQuery.asked(
                jdbc,
                """
                select b.id, b.started_at as at, a.grams, (a."highG" - a."lowG") / 2 as spread,
                    case when a.blend ->> 'slug' = any(cast(:blends as text[])) then a.blend ->> 'slug' else a.herb end as herb,
                    case when a.blend ->> 'slug' = any(cast(:blends as text[])) then :blendForm else a.form end as form
                from brew b cross join lateral jsonb_to_recordset(b.plan -> 'additions')
                    a(herb text, form text, grams double precision, "lowG" double precision, "highG" double precision, blend jsonb)
                where b.started_at >= (select min(at) from w) and b.phase in ('running', 'finished')
                    and b.clock_real is null
                    and jsonb_exists_any(b.herbs, (select array_agg(herb) from w))""",
                Map.of("blends", blendsInJars.toArray(String[]::new), "blendForm", Fields.code(Form.DRIED)),
                of);
    }
}
