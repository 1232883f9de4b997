ALTER TABLE "site" RENAME COLUMN "leave" TO "permission";--> statement-breakpoint
ALTER TABLE "site" RENAME COLUMN "leave_until" TO "permission_until";--> statement-breakpoint
ALTER TABLE "site" RENAME CONSTRAINT "leave_known" TO "permission_known";--> statement-breakpoint
-- what a site was before a change is read, and brought back, by the names of its fields
UPDATE "audit" SET
	"before" = "before" - 'leave' - 'leaveUntil' || jsonb_build_object('permission', "before"->'leave', 'permissionUntil', "before"->'leaveUntil')
	WHERE "what" = 'sites' AND "before" ? 'leave';--> statement-breakpoint
UPDATE "audit" SET
	"after" = "after" - 'leave' - 'leaveUntil' || jsonb_build_object('permission', "after"->'leave', 'permissionUntil', "after"->'leaveUntil')
	WHERE "what" = 'sites' AND "after" ? 'leave';
